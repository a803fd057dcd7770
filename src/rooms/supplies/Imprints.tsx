'use client'
import { Select } from 'antd'
import { isBehind, type KeptImprint } from '@/core/book'
import { changeImprint, forgetImprint, keepImprint, keepImprintOf, spreadImprint, takeImprint } from '@/data/imprints'
import type { BookRecord } from '@/data/records'
import { TextValue } from '@/parts/Sentence'
import { useSay } from '@/parts/useSay'
import { Act } from './Act'
import { BookLinks } from './BookLinks'
import { KeptPicture, Shown } from './KeptPicture'
import { NewName } from './NewName'
import { FORMER, useFormer } from './useFormer'
import { useTold } from './useTold'

/** Imprints: each said in a sentence whose values are written in place, with the books that say it. */
export function Imprints({ imprints, books }: { imprints: readonly KeptImprint[]; books: readonly BookRecord[] }) {
  const told = useTold()
  const unkept = distinct(books.filter(b => b.data.imprint.name && !b.data.imprint.kept))
  return (
    <section aria-label="Imprints">
      <h2>Imprints</h2>
      <p className="teach">
        A publisher’s name, place and logo, kept once: they stand on title page, spine and back of every book that says
        the imprint.
      </p>
      <ul className="names">
        {imprints.map(i => (
          <Line key={i.id} imprint={i} books={books} />
        ))}
      </ul>
      <p className="acts">
        <NewName label="A new imprint" onTake={name => keepImprint(name)} />
        {unkept
          .filter(([name]) => !imprints.some(i => i.name === name))
          .map(([name, all]) => (
            <Act
              key={name}
              label={`Keep the imprint ${name}`}
              words={`Keep “${name}”, which ${all.length === 1 ? 'a book says' : `${all.length} books say`}`}
              onAct={() => told(keepImprintOf(all))}
            />
          ))}
      </p>
    </section>
  )
}

function distinct(books: readonly BookRecord[]): [string, BookRecord[]][] {
  const out = new Map<string, BookRecord[]>()
  for (const b of books) out.set(b.data.imprint.name, [...(out.get(b.data.imprint.name) ?? []), b])
  return [...out]
}

function Line({ imprint, books }: { imprint: KeptImprint; books: readonly BookRecord[] }) {
  const say = useSay()
  const own = books.filter(b => b.data.imprint.kept === imprint.id)
  const behind = own.filter(b => isBehind(b, imprint))
  const former = useFormer(own, imprint.former)
  const told = useTold()
  const value = (label: string, key: 'name' | 'place' | 'site', none: string) => (
    <TextValue
      label={`${label} of the imprint`}
      value={imprint[key] ?? ''}
      placeholder={none}
      most={key === 'site' ? 500 : 300}
      onTake={v => (key === 'name' && !v ? Promise.resolve(true) : told(changeImprint(imprint.id, { [key]: v })))}
    />
  )
  return (
    <li>
      {imprint.logo && <Shown picture={imprint.logo} className="logo" />}
      <div>
        <h3>{value('Name', 'name', 'Its name')}</h3>
        <p className="issaid">
          In {value('Place', 'place', 'no place')}, found at {value('Site', 'site', 'no site')}; its logo is{' '}
          <KeptPicture
            label="Logo of the imprint"
            value={imprint.logo}
            none="none"
            onTake={logo => told(changeImprint(imprint.id, { logo })).then(() => undefined)}
          />
          .{' '}
          <BookLinks
            room="plan"
            none="No book says it."
            books={own.map(b => ({
              id: b.id,
              title: b.data.title,
              ...(behind.includes(b) ? { says: 'as it was before' } : former.has(b.id) ? { says: FORMER } : {}),
            }))}
          />
        </p>
        <p className="acts">
          {behind.length > 0 && (
            <Act
              label={`Bring books of ${imprint.name} up to date`}
              words={behind.length === 1 ? 'Bring it up to date' : `Bring all ${behind.length} up to date`}
              onAct={() => told(spreadImprint(imprint))}
            />
          )}
          <SaidBy imprint={imprint} books={books.filter(b => !own.includes(b))} />
          <Act
            label={`Forget the imprint ${imprint.name}`}
            words="Forget it"
            onAct={() => forgetImprint(imprint.id).catch(say.failed)}
          />
        </p>
      </div>
    </li>
  )
}

function SaidBy({ imprint, books }: { imprint: KeptImprint; books: readonly BookRecord[] }) {
  const say = useSay()
  if (!books.length) return null
  return (
    <Select
      size="small"
      className="place"
      suffixIcon={null}
      variant="borderless"
      aria-label={`A book says ${imprint.name}`}
      placeholder="Let a book say it"
      popupMatchSelectWidth={false}
      value={null}
      options={books.map(b => ({ value: b.id, label: b.data.title }))}
      onChange={(id: string | null) => id && void takeImprint(id, imprint).catch(say.failed)}
    />
  )
}
