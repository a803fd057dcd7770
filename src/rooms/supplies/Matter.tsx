'use client'
import { App, Button, Select } from 'antd'
import { useLiveQuery } from 'dexie-react-hooks'
import { docText, docWords, roles, type StandingMatter } from '@/core/book'
import { type Follower, followersOf, forgetMatter, place, renameMatter, spread } from '@/data/matter'
import type { BookRecord } from '@/data/records'
import { TextValue } from '@/parts/Sentence'
import { spreadInWords } from '@/parts/spreadInWords'
import { useSay } from '@/parts/useSay'
import { BookLinks } from './BookLinks'

/** Letters of a piece that are shown. */
const SHOWN = 220

/** Standing matter: each piece with its beginning, the books that follow it, and where they stand to it. */
export function Matter({ matter, books }: { matter: readonly StandingMatter[]; books: readonly BookRecord[] }) {
  const followers = useLiveQuery(() => Promise.all(matter.map(followersOf)), [matter])
  return (
    <ul className="matter">
      {matter.map((m, i) => (
        <Piece key={m.id} kept={m} followers={followers?.[i]} books={books} />
      ))}
    </ul>
  )
}

function Piece({
  kept,
  followers,
  books,
}: {
  kept: StandingMatter
  followers: Follower[] | undefined
  books: readonly BookRecord[]
}) {
  const say = useSay()
  const { modal } = App.useApp()
  const words = docWords(kept.doc)
  const text = docText(kept.doc).replace(/\s+/g, ' ').trim()
  const behind = followers?.filter(f => f.states.includes('behind')).length ?? 0
  const others = books.filter(b => !followers?.some(f => f.book === b.id))
  const bringUp = (): void =>
    void spread(kept).then(done => done.left.length && say.warn(spreadInWords(done)), say.failed)
  const forget = (): void =>
    void modal.confirm({
      title: `Forget “${kept.name}”?`,
      content: 'Books keep what they say; it is only no more followed.',
      okText: 'Forget it',
      cancelText: 'Keep it',
      onOk: () => forgetMatter(kept.id).catch(say.failed),
    })
  return (
    <li>
      <h3>
        <TextValue
          label="Name of the standing matter"
          value={kept.name}
          most={200}
          onTake={name =>
            name
              ? renameMatter(kept.id, name).then(
                  () => true,
                  e => {
                    say.failed(e as Error)
                    return false
                  },
                )
              : Promise.resolve(true)
          }
        />
      </h3>
      <p className="says">
        {roles[kept.role].name}, {words.toLocaleString('en')} {words === 1 ? 'word' : 'words'}.{' '}
        {followers && (
          <BookLinks
            room="text"
            none="No book follows it."
            books={followers.map(f => ({
              id: f.book,
              title: f.title,
              section: f.section,
              ...(f.states.every(s => s === 'as kept')
                ? {}
                : { says: f.states.includes('changed here') ? 'changed there' : 'as it was before' }),
            }))}
          />
        )}
      </p>
      <blockquote>
        {text.slice(0, SHOWN)}
        {text.length > SHOWN && ' …'}
      </blockquote>
      <p className="acts">
        {behind > 0 && (
          <Button size="small" type="link" onClick={bringUp}>
            Bring {behind === 1 ? 'it' : `all ${behind}`} up to date
          </Button>
        )}
        {others.length > 0 && (
          <Select
            size="small"
            className="place"
            suffixIcon={null}
            variant="borderless"
            aria-label={`Place “${kept.name}” in a book`}
            placeholder="Place it in a book"
            popupMatchSelectWidth={false}
            value={null}
            options={others.map(b => ({ value: b.id, label: b.data.title }))}
            onChange={(id: string | null) => id && void place(id, kept).catch(say.failed)}
          />
        )}
        <Button size="small" type="link" onClick={forget}>
          Forget it
        </Button>
      </p>
    </li>
  )
}
