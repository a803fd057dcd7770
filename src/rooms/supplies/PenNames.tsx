'use client'
import { useLiveQuery } from 'dexie-react-hooks'
import { ABOUT_AUTHOR, derivedSortName, type PenName } from '@/core/book'
import { authorNotes, followersOf } from '@/data/matter'
import { changePenName, forgetPenName, keepPenName } from '@/data/penNames'
import type { BookRecord } from '@/data/records'
import { TextValue } from '@/parts/Sentence'
import { useSay } from '@/parts/useSay'
import { Act } from './Act'
import { BookLinks } from './BookLinks'
import { BringUp, Followers } from './Followers'
import { KeptPicture, Shown } from './KeptPicture'
import { NewName } from './NewName'
import { useTold } from './useTold'

const authorsOf = (b: BookRecord): string[] => b.data.contributors.filter(c => c.role === 'aut').map(c => c.name)

/** The names that the author writes under, each with its note and portrait, and the books that bear it. */
export function PenNames({ names, books }: { names: readonly PenName[]; books: readonly BookRecord[] }) {
  const say = useSay()
  const authors = [...new Set(books.flatMap(authorsOf))].filter(a => a && !names.some(n => n.name === a))
  return (
    <section aria-label="Pen names">
      <h2>Pen names</h2>
      <p className="teach">
        Who writes, as books say it: the note and the portrait of a name stand under “About the author” in every book of
        that name, and are changed there by one edit here.
      </p>
      <ul className="names">
        {names.map(n => (
          <Line key={n.id} name={n} books={books} />
        ))}
      </ul>
      <p className="acts">
        <NewName label="A new pen name" onTake={name => keepPenName(name)} />
        {authors.map(a => (
          <Act
            key={a}
            label={`Keep the pen name ${a}`}
            words={`Keep “${a}”`}
            onAct={() => keepPenName(a, sortedAs(a, books)).catch(say.failed)}
          />
        ))}
      </p>
    </section>
  )
}

/** How books sort a name already. */
function sortedAs(name: string, books: readonly BookRecord[]): { sortName?: string } {
  const sortName = books.flatMap(b => b.data.contributors).find(c => c.name === name && c.sortName)?.sortName
  return sortName ? { sortName } : {}
}

function Line({ name, books }: { name: PenName; books: readonly BookRecord[] }) {
  const say = useSay()
  const followed = authorNotes([name])
  const followers = useLiveQuery(async () => (await followersOf([followed])).get(ABOUT_AUTHOR), [name, books])
  const bears = books.filter(b => authorsOf(b).includes(name.name))
  const told = useTold()
  return (
    <li>
      {name.portrait && <Shown picture={name.portrait} className="portrait" />}
      <div>
        <h3>
          <TextValue
            label="Pen name"
            value={name.name}
            most={300}
            onTake={v => (v ? told(changePenName(name.id, { name: v })) : Promise.resolve(true))}
          />
        </h3>
        <p className="issaid">
          Sorts as{' '}
          <TextValue
            label={`${name.name} sorts as`}
            value={name.sortName ?? ''}
            placeholder={derivedSortName(name.name) ?? 'it is said'}
            most={300}
            onTake={v => told(changePenName(name.id, { sortName: v }))}
          />
          ; the portrait is{' '}
          <KeptPicture
            label={`Portrait of ${name.name}`}
            value={name.portrait}
            none="none"
            onTake={portrait => told(changePenName(name.id, { portrait })).then(() => undefined)}
          />
          .{' '}
          <BookLinks room="plan" none="No book bears it." books={bears.map(b => ({ id: b.id, title: b.data.title }))} />
        </p>
        <div className="note">
          <TextValue
            label={`Note about ${name.name}`}
            value={name.note}
            placeholder="A note about whoever bears this name, as it stands in books …"
            most={20_000}
            lines
            onTake={note => told(changePenName(name.id, { note }))}
          />
        </div>
        <p className="says">
          {followers && (
            <Followers followers={followers} none="No book has it: “About the author” is added from a book’s Text." />
          )}
        </p>
        <p className="acts">
          {followers && <BringUp followed={followed} followers={followers} />}
          <Act
            label={`Forget the pen name ${name.name}`}
            words="Forget it"
            onAct={() => forgetPenName(name.id).catch(say.failed)}
          />
        </p>
      </div>
    </li>
  )
}
