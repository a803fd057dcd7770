'use client'
import { Button } from 'antd'
import { useRef } from 'react'
import type { Book, Round } from '@/core/book'
import type { ReviewDifference } from '@/core/review'
import { ActValue } from '@/parts/ActValue'
import { sendAgain } from '@/data/rounds'
import { FilePick, type FilePicker } from '@/parts/FilePick'
import { useSay } from '@/parts/useSay'
import { PanelFrame } from '../PanelFrame'
import { momentOf } from './ChangeSentence'
import { GiveSentence } from './GiveSentence'
import { handOver } from './handOver'
import { ReturnList } from './ReturnList'
import type { Looking } from './useReturn'
import type { TakingIn } from './useTakeIn'

/** Others at work on the text: giving it out, taking in what came back, looking that through. */
export function OthersPanel({
  book,
  picked,
  looking,
  taking,
  readOnly,
  flush,
  onLook,
  onShow,
  onStep,
  onClose,
}: {
  book: Book
  picked: readonly string[]
  looking: Looking | undefined
  taking: TakingIn
  readOnly: boolean
  flush: () => Promise<void>
  /** A return is looked through; none is any more. */
  onLook: (id: string | undefined) => void
  onShow: (d: ReviewDifference) => void
  onStep: (by: number) => void
  onClose: () => void
}) {
  return (
    <PanelFrame
      name="Others at work"
      title={looking ? `From ${looking.entry.by}` : 'Others at work'}
      kind="others"
      close="Close others at work"
      beside={
        looking && (
          <Button size="small" type="text" onClick={() => onLook(undefined)}>
            All rounds
          </Button>
        )
      }
      onClose={onClose}
    >
      <Came taking={taking} />
      {looking ? (
        <ReturnList book={book} looking={looking} readOnly={readOnly} onShow={onShow} onStep={onStep} />
      ) : (
        <>
          {!readOnly && <GiveSentence book={book} picked={picked} flush={flush} />}
          {!readOnly && <TakeSentence taking={taking} />}
          <Rounds book={book} onLook={onLook} />
        </>
      )}
    </PanelFrame>
  )
}

/** What came in last, with what of it could not be taken as it was. */
function Came({ taking: { came } }: { taking: TakingIn }) {
  if (!came) return null
  const { by, remarks, elsewhere, dropped } = came
  return (
    <div role="status">
      <p>
        What {by} sent back is in.{' '}
        {remarks
          ? `${remarks === 1 ? 'One remark stands' : `${remarks.toLocaleString('en')} remarks stand`} in the margin${
              elsewhere
                ? `, ${elsewhere === remarks ? 'at other words than they were made on' : `${elsewhere} of them at other words than they were made on`}`
                : ''
            }.`
          : ''}
      </p>
      {dropped.length > 0 && (
        <ul>
          {dropped.map(d => (
            <li key={d.what}>
              {d.count.toLocaleString('en')} × {d.what}
              {d.places.length ? ` (${d.places[0]})` : ''}
            </li>
          ))}
        </ul>
      )}
    </div>
  )
}

function TakeSentence({ taking }: { taking: TakingIn }) {
  const picker = useRef<FilePicker>(null)
  const { asking, busy } = taking
  return (
    <>
      <p>
        {busy ? 'Reading what came back …' : <ActValue words="Take in" onAct={() => picker.current?.open()} />}
        {!busy && ' a file that came back; what is in it waits for your yes or no.'}
      </p>
      <FilePick
        ref={picker}
        label="File that came back"
        accept=".docx,.porchlight"
        onPick={([file]) => taking.take(file!)}
      />
      {asking && (
        <p role="alert">
          “{asking.file.name}” does not say to whom it was given. It is from{' '}
          {asking.rounds.map(r => (
            <span key={r.id}>
              <ActValue words={`${r.to} (${momentOf(r.at)})`} onAct={() => taking.answer(r)} /> ·{' '}
            </span>
          ))}
          <ActValue words="nobody: leave it" onAct={() => taking.answer(undefined)} />.
        </p>
      )}
    </>
  )
}

const formWords: Record<Round['form'], string> = { docx: '.docx', copy: 'review copy', whole: 'whole book' }

/** What is out, and what came back, the newest first. */
function Rounds({ book, onLook }: { book: Book; onLook: (id: string) => void }) {
  const say = useSay()
  const { rounds = [] } = book
  const again = (round: Round): void =>
    void sendAgain(book.id, round)
      .then(handOver)
      .then(name => say.note(`${name} is among your downloads, as it went then.`), say.failed)
  if (!rounds.length)
    return (
      <p>
        Nothing is out. Give the text to an editor, a co-writer or a first reader; what they change comes back here as
        changes that you take or refuse, and what they say stands in the margin.
      </p>
    )
  return (
    <ul className="rounds">
      {rounds.toReversed().map(r => (
        <li key={r.id}>
          <p>
            <b>{r.to}</b>{' '}
            <em>
              {formWords[r.form]}
              {r.sections ? `, ${r.sections.length === 1 ? 'one section' : `${r.sections.length} sections`}` : ''},{' '}
              {momentOf(r.at)}
            </em>
          </p>
          {r.returns.length === 0 && (
            <p className="help">
              Nothing has come back yet.{' '}
              <ActValue words="Make the file again" label={`Make the file for ${r.to} again`} onAct={() => again(r)} />.
            </p>
          )}
          {r.returns.map(b => (
            <p key={b.id}>
              <ActValue
                words={b.done ? 'Looked through' : 'Look through'}
                label={`${b.done ? 'Looked through' : 'Look through'}: ${b.by}, ${momentOf(b.at)}`}
                onAct={() => onLook(b.id)}
              />{' '}
              what {b.by} sent back, {momentOf(b.at)}.
            </p>
          ))}
        </li>
      ))}
    </ul>
  )
}
