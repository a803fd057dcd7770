'use client'
import { App, Button, Select } from 'antd'
import Link from 'next/link'
import type { Book, Contributor, Edition, TitleData } from '@/core/book'
import { printMoney, profileOf, shippedProfiles } from '@/core/outlets'
import { formatMoney, formatTrim } from '@/core/trade'
import { commit } from '@/data/changes'
import { BookTop, NoBook } from '@/parts/BookTop'
import { kindWords } from '@/parts/kinds'
import { Sill, sillOf } from '@/parts/Sill'
import { useOpenBook } from '@/parts/useOpenBook'
import { WriterOnly } from '@/parts/WriterOnly'
import type { Figures } from '@/core/chain'
import { Field } from './Field'
import {
  authorField,
  otherField,
  descriptionField,
  imprintField,
  isbnField,
  placeField,
  priceField,
  seriesField,
  seriesNumberField,
  subtitleField,
  titleField,
  yearField,
} from './planFields'
import './plan.css'
import { useCommit } from '@/parts/useCommit'
import { useSay } from '@/parts/useSay'

const languages = [
  ['en-GB', 'English (British)'],
  ['en-US', 'English (American)'],
  ['de', 'German'],
  ['fr', 'French'],
  ['es', 'Spanish'],
  ['it', 'Italian'],
  ['pt', 'Portuguese'],
  ['nl', 'Dutch'],
  ['sv', 'Swedish'],
] as const

/** The plan: the data that everything uses, the editions with what they are printed as, what is left to do. */
export function PlanRoom({ bookId }: { bookId: string }) {
  const view = useOpenBook(bookId)
  const { book, figures } = view
  if (view.missing) return <NoBook />
  return (
    <>
      <main id="room" className="room plan">
        <BookTop bookId={bookId} view={view} stage="plan" />
        {!book && (
          <p className="waiting" role="status">
            Opening the book …
          </p>
        )}
        {book && (
          <div className="sheet">
            <WriterOnly bookId={book.id}>
              <TitlePart book={book} />
            </WriterOnly>
            <div>
              <WriterOnly bookId={book.id}>
                <h2>Editions</h2>
                {!book.editions.length && <p className="quiet">No edition yet: choose below what the book is to be.</p>}
                {book.editions.map(e =>
                  e.kind === 'ebook' ? (
                    <EbookPart key={e.id} book={book} edition={e} />
                  ) : (
                    <PrintPart
                      key={e.id}
                      book={book}
                      edition={e}
                      figures={view.edition?.id === e.id ? figures : undefined}
                    />
                  ),
                )}
                <AddEdition book={book} />
              </WriterOnly>
              <h2>Words</h2>
              <Words book={book} />
              <h2>What is left to do</h2>
              {view.trouble && (
                <p className="trouble" role="alert">
                  {view.trouble}
                </p>
              )}
              {!figures && !view.trouble && (
                <p className="quiet" role="status">
                  Looking it over …
                </p>
              )}
              {figures && !figures.findings.length && (
                <p className="quiet">
                  Nothing: {figures.outlet} would take the {kindWords[figures.kind]?.toLowerCase()} as it stands.
                </p>
              )}
              <ul className="todo">
                {figures?.findings.slice(0, 8).map((f, i) => (
                  <li key={i} className={f.severity}>
                    <b>{f.message}</b> {f.remedy}
                  </li>
                ))}
                {figures && figures.findings.length > 8 && <li>and {figures.findings.length - 8} more</li>}
              </ul>
            </div>
          </div>
        )}
      </main>
      <Sill
        figures={figures ? sillOf(figures, view.was) : []}
        asks={view.settling && figures ? 'settling …' : figures?.findings[0]?.message}
      />
    </>
  )
}

function TitlePart({ book }: { book: Book }) {
  const { data } = book
  const say = useSay()
  const change = (label: string, patch: Partial<TitleData>): Promise<void> =>
    commit(book.id, label, r => ({ data: { ...r.data, ...patch } }))
  const author = data.contributors.find(c => c.role === 'aut')
  return (
    <div>
      <h2>The title</h2>
      <p className="teach">Written once; title page, cover, ebook and listing all read it from here.</p>
      <Field
        field={titleField}
        value={data.title}
        onTake={v => change(`Title “${v ?? ''}”`, { title: v ?? data.title })}
      />
      <Field field={subtitleField} value={data.subtitle} onTake={v => change('Subtitle', { subtitle: v })} />
      <Field
        field={authorField}
        value={author?.name}
        onTake={v =>
          change(`Author ${v ?? ''}`, {
            contributors: [...(v ? [{ name: v, role: 'aut' }] : []), ...data.contributors.filter(c => c !== author)],
          })
        }
      />
      <Others book={book} />
      <div className="line">
        <Field
          field={seriesField}
          value={data.series?.name}
          onTake={v => change('Series', { series: v ? { ...data.series, name: v } : undefined })}
        />
        <Field
          field={seriesNumberField}
          value={data.series?.number}
          width={90}
          onTake={v =>
            data.series
              ? change(`Series number ${v ?? ''}`, { series: { name: data.series.name, ...(v ? { number: v } : {}) } })
              : undefined
          }
        />
      </div>
      <div className="line">
        <Field
          field={imprintField}
          value={data.imprint.name || undefined}
          onTake={v => change('Imprint', { imprint: { ...data.imprint, name: v ?? '' } })}
        />
        <Field
          field={placeField}
          value={data.imprint.place}
          onTake={v => change('Place', { imprint: { ...data.imprint, place: v } })}
        />
        <Field field={yearField} value={data.year} width={90} onTake={v => change(`Year ${v ?? ''}`, { year: v })} />
      </div>
      <div className="field">
        <label htmlFor="plan-language">Language</label>
        <Select
          id="plan-language"
          value={data.language}
          options={languages.map(([value, label]) => ({ value, label }))}
          onChange={v => void change('Language', { language: v }).catch(say.failed)}
          style={{ width: 220 }}
        />
        <p className="say">Hyphenation goes by it</p>
      </div>
      <Field
        field={descriptionField}
        value={data.description}
        long
        onTake={v => change('Description', { description: v })}
      />
    </div>
  )
}

const otherRoles = [
  ['edt', 'editor'],
  ['ill', 'illustrator'],
  ['trl', 'translator'],
  ['aui', 'author of the foreword'],
  ['pht', 'photographer'],
  ['aut', 'co-author'],
].map(([value, label]) => ({ value: value!, label: label! }))

/** Everybody else who made the book, each with a role. */
function Others({ book }: { book: Book }) {
  const { contributors } = book.data
  const first = contributors.find(c => c.role === 'aut')
  const others = contributors.filter(c => c !== first)
  const say = useSay()
  const set = (label: string, next: Contributor[]): Promise<void> =>
    commit(book.id, label, r => ({ data: { ...r.data, contributors: [...(first ? [first] : []), ...next] } }))
  return (
    <div className="field others">
      {others.map((c, i) => (
        <div className="line" key={i}>
          <Field
            field={otherField}
            value={c.name || undefined}
            onTake={v =>
              set(
                `Contributor ${v ?? ''}`,
                v ? others.map((o, j) => (j === i ? { ...o, name: v } : o)) : others.filter((_, j) => j !== i),
              )
            }
          />
          <div className="field" style={{ width: 190 }}>
            <label htmlFor={`role-${i}`}>As</label>
            <Select
              id={`role-${i}`}
              value={c.role}
              options={otherRoles}
              onChange={role =>
                void set(
                  `Role of ${c.name}`,
                  others.map((o, j) => (j === i ? { ...o, role } : o)),
                ).catch(say.failed)
              }
              style={{ width: '100%' }}
            />
          </div>
          <Button
            type="text"
            size="small"
            className="remove"
            aria-label={`Remove ${c.name || 'contributor'}`}
            onClick={() =>
              void set(
                `Remove ${c.name}`,
                others.filter((_, j) => j !== i),
              ).catch(say.failed)
            }
          >
            remove
          </Button>
        </div>
      ))}
      <button
        type="button"
        className="add"
        onClick={() => void set('Add a contributor', [...others, { name: 'Name', role: 'edt' }]).catch(say.failed)}
      >
        add an editor, illustrator, translator …
      </button>
    </div>
  )
}

const changeEdition = (book: Book, id: string, label: string, patch: Partial<Edition>): Promise<void> =>
  commit(book.id, label, r => ({ editions: r.editions.map(e => (e.id === id ? { ...e, ...patch } : e)) }))

function PrintPart({ book, edition, figures }: { book: Book; edition: Edition; figures: Figures | undefined }) {
  const say = useSay()
  const printers = shippedProfiles.filter(p => p.print?.bindings.some(b => b.kind === edition.kind))
  const profile = profileOf(edition.outlets[0] ?? 'ostrevane')
  const binding = profile.print?.bindings.find(b => b.kind === edition.kind)
  const choose = (
    label: string,
    value: string | undefined,
    options: { value: string; label: string }[],
    take: (v: string) => Promise<void>,
    width: number,
  ) => (
    <div className="field" style={{ width }}>
      <label htmlFor={`${edition.id}-${label}`}>{label}</label>
      <Select
        id={`${edition.id}-${label}`}
        value={value}
        options={options}
        onChange={v => void take(v).catch(say.failed)}
        style={{ width: '100%' }}
      />
      <p className="say" />
    </div>
  )
  const money =
    figures?.pages &&
    figures.edition === edition.id &&
    printMoney(
      profile,
      {
        binding: edition.kind === 'ebook' ? 'paperback' : edition.kind,
        trim: edition.trim ?? '',
        paper: edition.paper ?? '',
        ink: edition.ink ?? 'black',
      },
      figures.pages ?? 0,
      edition.price,
    )
  return (
    <section className="edition" aria-label={kindWords[edition.kind]}>
      <h3>
        {kindWords[edition.kind]} <RemoveEdition book={book} edition={edition} />
      </h3>
      <div className="line">
        {choose(
          'Outlet',
          profile.id,
          printers.map(p => ({ value: p.id, label: p.name })),
          v => {
            // Another outlet may not have this trim or paper: the nearest it has is taken, and undo brings back all of it.
            const next = profileOf(v)
            const trims = next.print!.bindings.find(b => b.kind === edition.kind)!.trims
            const papers = next.print!.papers.map(p => p.id)
            return changeEdition(book, edition.id, `Outlet ${next.name}`, {
              outlets: [v, ...edition.outlets.slice(1).filter(o => o !== v)],
              trim: trims.includes(edition.trim ?? '') ? edition.trim : trims[0],
              paper: papers.includes(edition.paper ?? '') ? edition.paper : papers[0],
            })
          },
          150,
        )}
        {choose(
          'Trim',
          edition.trim,
          (binding?.trims ?? []).map(t => ({ value: t, label: formatTrim(t) })),
          v => changeEdition(book, edition.id, `Trim ${formatTrim(v)}`, { trim: v }),
          130,
        )}
        {choose(
          'Paper',
          edition.paper,
          (profile.print?.papers ?? []).map(p => ({ value: p.id, label: p.name })),
          v => changeEdition(book, edition.id, `Paper ${v}`, { paper: v }),
          140,
        )}
        {choose(
          'Ink',
          edition.ink ?? 'black',
          [...new Set((profile.print?.costs ?? []).map(c => c.ink))].map(i => ({
            value: i,
            label: i === 'black' ? 'Black' : 'Colour',
          })),
          v => changeEdition(book, edition.id, `Ink ${v}`, { ink: v === 'colour' ? 'colour' : 'black' }),
          100,
        )}
      </div>
      <div className="line">
        <Field
          field={isbnField}
          value={edition.isbn}
          width={190}
          onTake={v => changeEdition(book, edition.id, 'ISBN', { isbn: v })}
        />
        <Field
          field={priceField}
          value={edition.price}
          width={110}
          onTake={v =>
            changeEdition(book, edition.id, `Price ${v === undefined ? '' : formatMoney(v, 'USD')}`, { price: v })
          }
        />
        {money && (
          <p className="pays">
            {figures.pages} pages cost {formatMoney(money.cost, money.currency)} to print;{' '}
            {formatMoney(money.leastPrice, money.currency)} is the least price.
            {edition.price !== undefined &&
              money.earnings.map(e => (
                <span key={e.channel}>
                  {' '}
                  {capital(e.channel)}: <b>{formatMoney(e.royalty, money.currency)}</b> a copy.
                </span>
              ))}
          </p>
        )}
      </div>
    </section>
  )
}

/** Adds an edition of a kind that the book does not have yet. */
function AddEdition({ book }: { book: Book }) {
  const record = useCommit(book.id)
  const kinds = (['paperback', 'coil', 'case', 'ebook'] as const).filter(
    k => !book.editions.some(e => e.kind === k) && !(k === 'ebook' && book.plan),
  )
  const add = (kind: (typeof kinds)[number]): void => {
    const printer = shippedProfiles.find(p => p.print?.bindings.some(b => b.kind === kind))
    const trims = printer?.print?.bindings.find(b => b.kind === kind)?.trims ?? []
    const like = book.editions.find(e => e.kind !== 'ebook')?.trim
    const fresh: Edition =
      kind === 'ebook'
        ? { id: 'ebook', kind, outlets: ['ostrevane', 'pellowick'], style: 'harbour-roman' }
        : {
            id: kind,
            kind,
            trim: like && trims.includes(like) ? like : trims[0],
            paper: printer?.print?.papers[0]?.id,
            ink: 'black',
            outlets: [printer?.id ?? 'ostrevane'],
            style: 'harbour-roman',
          }
    void record(`Add the ${kindWords[kind]!.toLowerCase()}`, r => ({ editions: [...r.editions, fresh] }))
  }
  return kinds.length ? (
    <p className="quiet">
      Also as{' '}
      {kinds.map((k, i) => (
        <span key={k}>
          {i ? ', ' : ''}
          <button type="button" className="add" onClick={() => add(k)}>
            {kindWords[k]!.toLowerCase()}
          </button>
        </span>
      ))}
    </p>
  ) : null
}

function RemoveEdition({ book, edition }: { book: Book; edition: Edition }) {
  const { modal } = App.useApp()
  const record = useCommit(book.id)
  const go = (): void =>
    void record(`Remove the ${kindWords[edition.kind]!.toLowerCase()}`, r => ({
      editions: r.editions.filter(e => e.id !== edition.id),
    }))
  return (
    <Button
      size="small"
      type="text"
      className="remove"
      onClick={() =>
        modal.confirm({
          title: `Remove the ${kindWords[edition.kind]!.toLowerCase()}?`,
          content: 'Its specification and price leave the book. Undo brings them back; what is on sale stays on sale.',
          okText: 'Remove it',
          cancelText: 'Keep it',
          onOk: go,
        })
      }
    >
      remove
    </Button>
  )
}

/** The kept phrases and where they go. */
function Words({ book }: { book: Book }) {
  const words = book.words ?? []
  const research = `/research?book=${encodeURIComponent(book.id)}`
  if (!words.length)
    return (
      <p className="quiet">
        No phrases kept yet. <Link href={research}>Research</Link> shows what readers type, and how crowded it is.
      </p>
    )
  return (
    <>
      <p className="quiet">
        {words.map((w, i) => (
          <span key={w.phrase}>
            {i ? ' · ' : ''}
            <b>{w.phrase}</b>
            {w.place ? ` (${w.place})` : ''}
          </span>
        ))}
      </p>
      <p className="quiet">
        <Link href={research}>To Research</Link>
      </p>
    </>
  )
}

function EbookPart({ book, edition }: { book: Book; edition: Edition }) {
  return (
    <section className="edition" aria-label="Ebook">
      <h3>
        Ebook <RemoveEdition book={book} edition={edition} />
      </h3>
      <div className="line">
        <Field
          field={isbnField}
          value={edition.isbn}
          width={190}
          onTake={v => changeEdition(book, edition.id, 'ISBN of the ebook', { isbn: v })}
        />
        <Field
          field={priceField}
          value={edition.price}
          width={110}
          onTake={v =>
            changeEdition(book, edition.id, `Ebook price ${v === undefined ? '' : formatMoney(v, 'USD')}`, { price: v })
          }
        />
        <p className="pays">Goes to {edition.outlets.map(o => profileOf(o).name).join(' and ')}.</p>
      </div>
    </section>
  )
}

const capital = (s: string): string => s[0]!.toUpperCase() + s.slice(1)
