'use client'
import { Button } from 'antd'
import { useRef } from 'react'
import { linesOf, MOST_TEXT, type WordReport, type WordSource } from '@/core/words'
import { listBooks } from '@/data/bookList'
import { getBook } from '@/data/books'
import { saveAs } from '@/parts/saveAs'
import { FilePick, type FilePicker } from '@/parts/FilePick'
import { ChoiceValue } from '@/parts/Sentence'
import { StoredTextArea } from '@/parts/StoredInput'
import { useAnswer } from '@/parts/useAnswer'
import { usePress } from '@/parts/usePress'
import { useSay } from '@/parts/useSay'
import { press } from '@/workers/client'

/** Where the author's own words may come from. */
const OWN = 'own'
/** A list is looked over when nothing was typed for so long, milliseconds. */
const LOOK = 400

type Take = (source: WordSource, merge: boolean) => Promise<boolean>

/** Where the words of a run come from: a value of its sentence. */
export function WordsValue({
  label,
  source,
  sayings,
  onChange,
}: {
  label: string
  source: WordSource
  sayings: boolean
  onChange: Take
}) {
  'use memo'
  const { answer: banks } = usePress(p => p.banks(), [])
  const choices = [
    { value: OWN, words: 'a list of my own' },
    ...(sayings
      ? [{ value: 'sayings', words: 'sayings that ship' }]
      : (banks ?? []).map(b => ({ value: b.id, words: `“${b.name}”` }))),
  ]
  const choose = (id: string): void => void onChange({ ...source, bank: id === OWN ? '' : id }, false)
  return <ChoiceValue label={label} value={source.bank || OWN} choices={choices} onChange={choose} />
}

/** What a kind minds about its words: each wants a clue; none may stand inside another. */
export interface WordsMinded {
  clued: boolean
  sayings?: boolean
  /** A row of a table is as good as a saying. */
  rows?: boolean
  apart?: boolean
}

/** What is to be known of a run's words, and the author's own list. */
export function WordsOf({
  label,
  language,
  source,
  minds,
  onChange,
}: {
  label: string
  /** Of the book, as a tag. */
  language: string
  source: WordSource
  minds: WordsMinded
  onChange: Take
}) {
  'use memo'
  return (
    <div className="words">
      <p>
        {minds.sayings && !source.bank ? (
          sayingsSaid(linesOf(source.text).length)
        ) : (
          <WordsSaid language={language} source={source} minds={minds} onChange={onChange} />
        )}
      </p>
      {!source.bank && <OwnWords label={label} source={source} minds={minds} onChange={onChange} />}
    </div>
  )
}

/** The author's own list: typed, brought in, begun with a sample, a bank or a book's own words. */
function OwnWords({
  label,
  source,
  minds: { clued, sayings = false, rows = false },
  onChange,
}: {
  label: string
  source: WordSource
  minds: WordsMinded
  onChange: Take
}) {
  'use memo'
  const say = useSay()
  const pick = useRef<FilePicker>(null)
  const { answer: books } = useAnswer(() => listBooks(), [])
  const put = (text: string): void => void onChange({ bank: '', text }, false)
  const add = (text: string): void => put(source.text.trim() ? `${source.text.trimEnd()}\n\n${text}` : text)
  const bring = ([file]: File[]): void =>
    void file!.text().then(text => {
      if (text.length > MOST_TEXT) say.warn(`${file!.name} is longer than any list of words.`)
      else add(text)
    }, say.failed)
  const take = async (id: string): Promise<void> => {
    const stored = await getBook(id)
    if (!stored) return
    const text = await press().vocabularyOf({ sections: stored.book.sections })
    if (text.trim()) add(text)
    else say.note('This book has no names, nor words that are rare elsewhere.')
  }
  const others = (books ?? []).map(b => ({ value: b.id, words: b.data.title }))
  return (
    <>
      <StoredTextArea
        aria-label={`List of ${label.toLowerCase()}`}
        placeholder={example(clued, sayings)}
        autoSize={{ minRows: 4, maxRows: 14 }}
        maxLength={MOST_TEXT}
        value={source.text}
        onTake={text => onChange({ bank: '', text }, true)}
      />
      <p className="ways">
        <Button size="small" onClick={() => pick.current?.open()}>
          {sayings ? 'Bring in a text' : 'Bring in a table or text'}
        </Button>
        {!sayings && (
          <Button size="small" onClick={() => void press().wordSample(clued).then(add, say.failed)}>
            Add a sample
          </Button>
        )}
        <Button
          size="small"
          type="link"
          title="A file that shows how it is made elsewhere"
          onClick={() =>
            void press()
              .sampleFile(rows ? 'rows' : sayings ? 'sayings' : clued ? 'clues' : 'words')
              .then(({ text, name, type }) => saveAs(text, name, type), say.failed)
          }
        >
          Save a sample
        </Button>
        <FilePick
          ref={pick}
          label={`List of ${label.toLowerCase()} from a file`}
          accept=".csv,.tsv,.txt,text/*"
          onPick={bring}
        />
        {!sayings && others.length > 0 && (
          <span>
            Add the words that make{' '}
            <ChoiceValue
              label="Book whose words are added"
              value=""
              choices={[{ value: '', words: 'a book' }, ...others]}
              onChange={id => void take(id).catch(say.failed)}
            />{' '}
            its own.
          </span>
        )}
      </p>
    </>
  )
}

const sayingsSaid = (lines: number): string =>
  lines
    ? `${lines === 1 ? 'One saying' : `${lines} sayings, one a puzzle, in their order`}.`
    : 'No sayings yet: a line each is enough.'

const example = (clued: boolean, sayings: boolean): string =>
  sayings ? 'a saying a line' : clued ? 'bollard: Post that takes a rope' : 'a word a line; # begins a list'

/** How many words there are, and what is to be minded before a puzzle is made of them. */
function WordsSaid({
  language,
  source,
  minds,
  onChange,
}: {
  language: string
  source: WordSource
  minds: WordsMinded
  onChange: Take
}) {
  'use memo'
  const { bank, text } = source
  const { answer, trouble } = usePress(p => p.wordsSaid({ bank, text }, language), [bank, text, language], {
    after: LOOK,
  })
  if (trouble) return trouble
  if (!answer) return null
  const { report, left, none } = answer
  if (!report) return none
  return (
    <>
      {counted(report, minds.clued)} {minded(report, !!minds.apart)}
      {left.length > 0 && (
        <>
          {left.length === 1 ? 'A line is' : `${left.length} lines are`} left out:{' '}
          {left
            .slice(0, 3)
            .map(l => `line ${l.line}, “${l.words}”: ${l.why}`)
            .join('; ')}
          {left.length > 3 ? '; and so on.' : '.'}{' '}
        </>
      )}
      {!bank && report.words < 60 && report.near.length > 0 && (
        <>
          Near to it:{' '}
          {report.near.map(b => (
            <Button key={b.id} size="small" type="link" onClick={() => void onChange({ ...source, bank: b.id }, false)}>
              {b.name} ({b.shared} shared)
            </Button>
          ))}
        </>
      )}
    </>
  )
}

const plural = (n: number, one: string, many = `${one}s`): string => `${n} ${n === 1 ? one : many}`

function counted({ words, lists, clued: withClue, longest }: WordReport, clued: boolean): string {
  const inLists = lists > 1 ? ` in ${lists} lists, one for each puzzle in turn` : ''
  const clues = clued
    ? `, ${withClue === words ? 'all' : withClue} with a clue of ${words === 1 ? 'its' : 'their'} own`
    : ''
  return `${plural(words, 'word')}${inLists}${clues}, the longest of ${plural(longest, 'letter')}.`
}

function minded({ twice, inside, signs, offending }: WordReport, apart: boolean): string {
  const some = (of: string[]): string =>
    `${of
      .slice(0, 4)
      .map(w => `“${w}”`)
      .join(', ')}${of.length > 4 ? ' and others' : ''}`
  return [
    twice.length && `${some(twice)} ${twice.length === 1 ? 'stands' : 'stand'} in it twice.`,
    apart &&
      inside.length > 0 &&
      `${inside
        .slice(0, 3)
        .map(i => `“${i.word}” stands inside “${i.within}”`)
        .join(', ')}${inside.length > 3 ? ' and so on' : ''}: two such never come into one puzzle.`,
    offending.length && `${some(offending)} may offend a reader.`,
    signs.length && `${some(signs)} ${signs.length === 1 ? 'loses its signs' : 'lose their signs'} in a grid.`,
  ]
    .filter(Boolean)
    .join(' ')
}
