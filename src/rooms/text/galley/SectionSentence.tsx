'use client'
import { memo } from 'react'
import { type Book, type Edition, headingsIn, roles, type Section, setRole, withException } from '@/core/book'
import { readStyle, styleById, styleValue, withChanges } from '@/core/pages'
import { PictureChoice } from '@/parts/PictureChoice'
import { SectionKind } from '@/parts/SectionKind'
import { ChoiceValue, TextValue } from '@/parts/Sentence'
import { useCommit } from '@/parts/useCommit'
import type { SectionActs } from '../useSectionActs'

const RECTO = 'openings.recto'

interface SentenceProps {
  book: Book
  edition: Edition | undefined
  section: Section
  name: string
  readOnly: boolean
  acts: SectionActs
}

/** What the section is, over its title, in one sentence whose values are the controls. */
export const SectionSentence = memo(function SectionSentence({
  book,
  edition,
  section,
  name,
  readOnly,
  acts,
}: SentenceProps) {
  const { operate, change } = acts
  const facts = roles[section.role]
  return (
    <p className="issaid">
      <SectionKind
        section={section}
        disabled={readOnly}
        onRole={role =>
          void operate(`“${name}” is ${roles[role].name.toLowerCase()}`, b => setRole(b, section.id, role))
        }
        onNumbered={numbered => void change(numbered ? `Number “${name}”` : `“${name}” without number`, { numbered })}
      />
      {section.role === 'part' && (
        <>
          , its chapters{' '}
          <ChoiceValue
            label="How its chapters are counted"
            value={section.anew ? 'anew' : 'on'}
            choices={COUNTS}
            disabled={readOnly}
            onChange={v => void change('How chapters are counted', { anew: v === 'anew' || undefined })}
          />
        </>
      )}
      {edition && edition.kind !== 'ebook' && (
        <Opens book={book} edition={edition} section={section} name={name} readOnly={readOnly} />
      )}
      {!section.made && facts.headed && <WithPicture {...{ book, section, readOnly, acts }} />}
      {section.made && section.role === 'contents' && <Lists {...{ book, section, readOnly, acts }} />}
      {facts.listed && section.unlisted && ', left out of the contents'}
      {facts.made && <Made section={section} readOnly={readOnly} acts={acts} />}.
    </p>
  )
})

/** How deep the contents list, and where they stand. */
function Lists({
  book,
  section,
  readOnly,
  acts: { change },
}: Pick<SentenceProps, 'book' | 'section' | 'readOnly' | 'acts'>) {
  const none = !!section.depth && !book.sections.some(s => !s.made && headingsIn(s.doc).length)
  return (
    <>
      , listing{' '}
      <ChoiceValue
        label="What the contents list"
        value={String(section.depth ?? 0)}
        choices={DEPTHS}
        disabled={readOnly}
        onChange={v => void change('What the contents list', { depth: Number(v) || undefined })}
      />
      {none && ' (the text has no headings yet)'},{' '}
      <ChoiceValue
        label="Where the contents stand"
        value={section.unprinted ? 'ebook' : 'both'}
        choices={STANDS}
        disabled={readOnly}
        onChange={v =>
          void change(v === 'both' ? 'Contents in print, too' : 'Contents in the ebook alone', {
            unprinted: v === 'ebook' || undefined,
          })
        }
      />
    </>
  )
}

/** Where it opens in the edition that is looked at: as its style says, or by an exception of its own. */
function Opens({
  book,
  edition,
  section,
  name,
  readOnly,
}: Pick<SentenceProps, 'book' | 'section' | 'name' | 'readOnly'> & { edition: Edition }) {
  const commit = useCommit(book.id)
  const own = edition.exceptions?.[section.id]?.[RECTO]
  const value = styleValue(RECTO)
  if (value.kind === 'number' || value.kind === 'picture' || !roles[section.role].headed) return null
  const ruled = readStyle(withChanges(styleById(edition.style, book.styles), edition.styleChanges ?? {}), RECTO)
  const take = (chosen: string): void => {
    const v = value.choices.find(c => String(c.value) === chosen)!.value
    void commit(`How “${name}” opens`, r => ({
      editions: withException(r.editions, edition.id, section.id, ({ [RECTO]: _, ...rest }) =>
        v === ruled ? rest : { ...rest, [RECTO]: v },
      ),
    }))
  }
  return (
    <>
      , opens{' '}
      <ChoiceValue
        label="Where it opens"
        value={String(own ?? ruled)}
        choices={value.choices.map(c => ({ value: String(c.value), words: c.words }))}
        disabled={readOnly}
        onChange={take}
      />
      {own !== undefined && own !== ruled && ' here alone'}
    </>
  )
}

/** The picture over its opening, and what it says to readers who cannot see it. */
function WithPicture({ book, section, readOnly, acts: { change } }: Omit<SentenceProps, 'edition' | 'name'>) {
  const { picture } = section
  return (
    <>
      , with{' '}
      <span className="value">
        <PictureChoice
          bookId={book.id}
          assets={book.assets}
          value={picture?.asset ?? ''}
          none="no picture"
          label="Picture over the opening"
          disabled={readOnly}
          quiet
          onChange={asset =>
            void change(asset ? 'A picture over the opening' : 'No picture over the opening', {
              picture: asset ? { asset, alt: '', decoration: false } : undefined,
            })
          }
        />
      </span>
      {picture && (
        <>
          {' '}
          over it, which is{' '}
          <ChoiceValue
            label="What the opening picture is"
            value={picture.decoration ? 'decoration' : 'said'}
            choices={PICTURES}
            disabled={readOnly}
            onChange={v =>
              void change('What the opening picture is', { picture: { ...picture, decoration: v === 'decoration' } })
            }
          />
          {!picture.decoration && (
            <>
              {' '}
              as{' '}
              <TextValue
                label="Description of the opening picture"
                value={picture.alt}
                placeholder="nothing yet"
                most={500}
                disabled={readOnly}
                onTake={alt => change('Describe the opening picture', { picture: { ...picture, alt } })}
              />
            </>
          )}
        </>
      )}
    </>
  )
}

/** A page that the book's data makes, or one that is written by hand: what was written is kept for when it is wished for again. */
function Made({ section, readOnly, acts }: Pick<SentenceProps, 'section' | 'readOnly' | 'acts'>) {
  return (
    <>
      ,{' '}
      <ChoiceValue
        label="Whether the book makes it"
        value={section.made ? 'made' : 'written'}
        choices={MADE}
        disabled={readOnly}
        onChange={v =>
          v === 'made' ? void acts.change('Made from the book’s data again', { made: true }) : acts.takeOver()
        }
      />
    </>
  )
}

const COUNTS = [
  { value: 'on', words: 'count on' },
  { value: 'anew', words: 'count from one' },
] as const

/** By level of the headings. */
const DEPTHS = [
  'titles alone',
  'titles and headings',
  'titles and headings of two levels',
  'titles and headings of three levels',
].map((words, depth) => ({ value: String(depth), words }))

const STANDS = [
  { value: 'both', words: 'in print and ebook' },
  { value: 'ebook', words: 'in the ebook alone' },
] as const

const MADE = [
  { value: 'made', words: 'made from the book’s data' },
  { value: 'written', words: 'written by hand' },
] as const

const PICTURES = [
  { value: 'decoration', words: 'decoration alone' },
  { value: 'said', words: 'said' },
] as const
