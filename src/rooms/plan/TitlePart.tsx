'use client'
import { Select } from 'antd'
import { useLiveQuery } from 'dexie-react-hooks'
import { useState } from 'react'
import type { Book, Imprint, TitleData } from '@/core/book'
import { commit } from '@/data/changes'
import { keptImprints } from '@/data/imprints'
import { keptPenNames } from '@/data/penNames'
import { bookLanguages, languageName } from '@/parts/languages'
import { useSay } from '@/parts/useSay'
import { Contributors } from './Contributors'
import { Field } from './Field'
import { ImprintSaid } from './ImprintSaid'
import {
  authorField,
  descriptionField,
  imprintField,
  placeField,
  quotesField,
  rightsField,
  seriesField,
  seriesNumberField,
  siteField,
  sortNameFieldOf,
  subjectsField,
  subtitleField,
  titleField,
  yearField,
} from './planFields'

/** The data that everything uses. */
export function TitlePart({ book }: { book: Book }) {
  const { data } = book
  const say = useSay()
  const imprints = useLiveQuery(keptImprints) ?? []
  const names = useLiveQuery(keptPenNames) ?? []
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
        offers={names.map(n => n.name)}
        onTake={v =>
          change(`Author ${v ?? ''}`, {
            contributors: [
              ...(v ? [{ ...author, name: v, role: 'aut' }] : []),
              ...data.contributors.filter(c => c !== author),
            ],
          })
        }
      />
      <Contributors book={book} />
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
          offers={imprints.map(i => i.name)}
          onTake={v => change('Imprint', { imprint: { ...bare(data.imprint), name: v ?? '' } })}
        />
        <Field
          field={placeField}
          value={data.imprint.place}
          onTake={v => change('Place', { imprint: { ...bare(data.imprint), place: v } })}
        />
        <Field field={yearField} value={data.year} width={90} onTake={v => change(`Year ${v ?? ''}`, { year: v })} />
      </div>
      <ImprintSaid book={book} />
      <div className="field">
        <label htmlFor="plan-language">Language</label>
        <Select
          id="plan-language"
          value={data.language}
          options={bookLanguages.map(value => ({ value, label: languageName(value) }))}
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
      <Field field={quotesField} value={data.quotes} long onTake={v => change('What is said of it', { quotes: v })} />
      <Seldom book={book} onChange={change} />
    </div>
  )
}

/** An imprint that is the book's own: what is written by hand follows nothing. */
const bare = ({ kept: _kept, ...imprint }: Imprint): Imprint => imprint

/** What few books say, shown where it is said or asked for. */
function Seldom({
  book: { data },
  onChange,
}: {
  book: Book
  onChange: (label: string, patch: Partial<TitleData>) => Promise<void>
}) {
  const author = data.contributors.find(c => c.role === 'aut')
  const said = !!(author?.sortName || data.rights || data.imprint.site || data.subjects.length)
  const [asked, setAsked] = useState(false)
  if (!said && !asked)
    return (
      <button type="button" className="add" onClick={() => setAsked(true)}>
        rights, subjects, site, how the author sorts …
      </button>
    )
  return (
    <>
      <Field field={rightsField} value={data.rights} onTake={rights => onChange('Rights', { rights })} />
      <Field
        field={subjectsField}
        value={data.subjects}
        onTake={subjects => onChange('Subjects', { subjects: subjects ?? [] })}
      />
      <div className="line">
        <Field
          field={siteField}
          value={data.imprint.site}
          onTake={site => onChange('Site', { imprint: { ...bare(data.imprint), site } })}
        />
        {author && (
          <Field
            field={sortNameFieldOf(author.name)}
            value={author.sortName}
            onTake={sortName =>
              onChange('Sorts as', {
                contributors: data.contributors.map(c => (c === author ? { ...c, sortName } : c)),
              })
            }
          />
        )}
      </div>
    </>
  )
}
