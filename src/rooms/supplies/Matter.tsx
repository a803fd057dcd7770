'use client'
import { App, Button, Select } from 'antd'
import { useLiveQuery } from 'dexie-react-hooks'
import { docText, docWords, roles, type StandingMatter } from '@/core/book'
import { asKept, type Follower, followersOf, forgetMatter, otherBooks, place, renameMatter } from '@/data/matter'
import type { BookRecord } from '@/data/records'
import { TextValue } from '@/parts/Sentence'
import { useSay } from '@/parts/useSay'
import { BringUp, Followers } from './Followers'

/** Letters of a piece that are shown. */
const SHOWN = 220

/** Standing matter: each piece with its beginning, the books that follow it, and where they stand to it; and the lists of an author's other books, which follow the books there are. */
export function Matter({ matter, books }: { matter: readonly StandingMatter[]; books: readonly BookRecord[] }) {
  const followers = useLiveQuery(() => followersOf([otherBooks, ...matter.map(asKept)]), [matter, books])
  const listing = followers?.get(otherBooks.id)
  return (
    <ul className="matter">
      {matter.map(m => (
        <Piece key={m.id} kept={m} followers={followers?.get(m.id)} books={books} />
      ))}
      <li>
        <h3>Also by</h3>
        <p className="says">
          The author’s other books, as they are on the porch, series by series.{' '}
          {listing && (
            <Followers followers={listing} none="No book lists them yet: “Also by” is added from a book’s Text." />
          )}
        </p>
        <p className="acts">{listing && <BringUp followed={otherBooks} followers={listing} />}</p>
      </li>
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
  const others = books.filter(b => !followers?.some(f => f.book === b.id))
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
        {followers && <Followers followers={followers} none="No book follows it." />}
      </p>
      <blockquote>
        {text.slice(0, SHOWN)}
        {text.length > SHOWN && ' …'}
      </blockquote>
      <p className="acts">
        {followers && <BringUp followed={asKept(kept)} followers={followers} />}
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
