'use client'
import { App, Button, Progress } from 'antd'
import type { Book } from '@/core/book'
import type { OutletProfile } from '@/core/trade'
import { approveProof, withdraw } from '@/data/listings'
import { kindWords } from '@/parts/kinds'
import { Lamp, type LampState } from '@/parts/Lamp'
import type { Pair } from '@/parts/pairs'
import { useSay } from '@/parts/useSay'
import { day } from './day'
import { useDispatch } from './useDispatch'

/** The head of a listing: where it stands, and what can be done with it now. */
export function SheetHead({
  book,
  pair,
  profile,
  standing: { lamp, word },
  now,
  ready,
  readOnly,
}: {
  book: Book
  pair: Pair
  profile: OutletProfile
  standing: { lamp: LampState; word: string }
  now: number
  /** Its figures are here. */
  ready: boolean
  readOnly: boolean
}) {
  const { edition, outletId, state, differences } = pair
  const { modal } = App.useApp()
  const say = useSay()
  const { making, stop, download, proof, dispatch } = useDispatch(book, pair, profile)
  const sending = state.pending ? 'Send instead' : state.live ? 'Send the revision' : 'Send'
  const inStep = !!state.live && !differences.length && !state.returned
  const last = state.proofs.at(-1)
  const arrived = last && last.arrives <= now && last.approved === undefined
  const since = state.live
    ? `${word === 'on sale' ? '' : ', on sale'} since ${day(state.live.since)}`
    : state.pending
      ? `, sent ${day(state.pending.sent)}`
      : ''
  return (
    <header>
      <Lamp state={lamp} size={22} />
      <h2>
        {kindWords[edition.kind]} at {profile.name}
      </h2>
      <em>
        {word}
        {since}
      </em>
      <span className="acts">
        {making ? (
          <>
            <Progress percent={making.percent} size="small" style={{ width: 120 }} /> <span>{making.stage}</span>{' '}
            <Button onClick={stop}>Stop</Button>
          </>
        ) : (
          <>
            {state.live && (
              <Button
                type="text"
                disabled={readOnly}
                onClick={() =>
                  modal.confirm({
                    title: 'Withdraw it from sale?',
                    content: 'It can be sent again later; reviews begin anew.',
                    okText: 'Withdraw',
                    cancelText: 'Leave it on sale',
                    onOk: () => withdraw(book.id, edition.id, outletId).catch(say.failed),
                  })
                }
              >
                Withdraw
              </Button>
            )}
            {arrived && (
              <Button
                disabled={readOnly}
                onClick={() => void approveProof(book.id, edition.id, outletId).catch(say.failed)}
              >
                Approve the proof
              </Button>
            )}
            {profile.print?.proof && edition.kind !== 'ebook' && !arrived && (
              <Button disabled={readOnly || !ready} onClick={() => void proof()}>
                Order a proof
              </Button>
            )}
            <Button onClick={() => void download()}>Package as ZIP</Button>
            <Button
              type="primary"
              disabled={readOnly || !ready || inStep}
              title={inStep ? 'What is on sale is what the book is now' : undefined}
              onClick={() => void dispatch()}
            >
              {sending}
            </Button>
          </>
        )}
      </span>
    </header>
  )
}
