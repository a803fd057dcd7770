'use client'
import { type Editor, getMarkRange } from '@tiptap/core'
import { type EditorState, TextSelection } from '@tiptap/pm/state'
import { Fragment } from 'react'
import { answered, type Book, docWords, MOST_REMARK, type Remark, type Said, threadOf } from '@/core/book'
import { ActValue } from '@/parts/ActValue'
import { ChoiceValue, TextValue } from '@/parts/Sentence'
import { languageName, passageTags } from '@/parts/languages'
import { chosenIn, inReading } from '../countOf'
import { type AtCursorProps, kindOf } from './kind'

interface FoundPassage {
  from: number
  to: number
  /** The language that they are marked to be in. */
  tag: string | undefined
  /** What is said of them. */
  remark: Remark | undefined
  chosen: boolean
}

/** The words that are chosen, or the passage in another language that the cursor is in, or words with a remark. */
function find({ selection, schema }: EditorState): FoundPassage | undefined {
  if (!(selection instanceof TextSelection)) return undefined
  const { $from, from, to, empty } = selection
  const marks = empty ? $from.marks() : ($from.nodeAfter?.marks ?? [])
  const said = (name: 'language' | 'remark') => schema.marks[name]!.isInSet(marks)?.attrs
  const [tag, remark] = [said('language')?.tag as string | undefined, said('remark') as Remark | undefined]
  if (!empty) return { from, to, tag, remark, chosen: true }
  const name = remark !== undefined ? 'remark' : tag !== undefined ? 'language' : undefined
  const range = name && getMarkRange($from, schema.marks[name]!)
  return range ? { ...range, tag, remark, chosen: false } : undefined
}

const BOOKS = 'book'

/** What the chosen words come to. */
function Counted({ book, editor, pages }: { book: Book; editor: Editor; pages: number | undefined }) {
  const chosen = chosenIn(editor)
  if (!chosen) return 'The chosen words are'
  const whole = book.sections.reduce((n, s) => n + (s.made ? 0 : docWords(s.doc)), 0)
  return (
    <>
      The {chosen.words === 1 ? 'one' : <b>{chosen.words.toLocaleString('en')}</b>} chosen{' '}
      {chosen.words === 1 ? 'word' : 'words'} ({inReading(chosen, pages && whole ? pages / whole : undefined)}){' '}
      {chosen.words === 1 ? 'is' : 'are'}
    </>
  )
}

/** The language of words, which says how they are divided and how a reading voice says them; and what the author has to say of them. */
function Sentence({
  book,
  known,
  editor,
  found: { from, to, tag, remark, chosen },
  readOnly,
}: AtCursorProps<FoundPassage>) {
  const mark = (name: 'language' | 'remark', attrs: Remark | { tag: string } | undefined): void => {
    if (!editor.isEditable) return
    const { tr, schema, doc } = editor.state
    const type = schema.marks[name]!
    // What is answered or settled is so at all of its words, however many of them are chosen.
    const all = name === 'remark' && remark ? getMarkRange(doc.resolve(from + (chosen ? 1 : 0)), type) : undefined
    const [begin, end] = all && remark ? [Math.min(from, all.from), Math.max(to, all.to)] : [from, to]
    tr.removeMark(begin, end, type)
    if (attrs) tr.addMark(begin, end, type.create({ ...attrs }))
    // The focus stays here: the key that took the words must not go into the text.
    editor.view.dispatch(tr)
  }
  const others = passageTags.filter(t => t !== book.data.language)
  const tags = tag === undefined || others.includes(tag) ? others : [tag, ...others]
  return (
    <>
      {chosen ? <Counted book={book} editor={editor} pages={known.count} /> : 'These words are'} in{' '}
      <ChoiceValue
        label="Language of the words"
        value={tag ?? BOOKS}
        disabled={readOnly}
        choices={[
          { value: BOOKS, words: `${languageName(book.data.language)}, as the book is` },
          ...tags.map(value => ({ value, words: languageName(value) })),
        ]}
        onChange={v => mark('language', v === BOOKS ? undefined : { tag: v })}
      />
      ; <SaidOf book={book} remark={remark} at={`${from} ${to}`} readOnly={readOnly} onSay={r => mark('remark', r)} />
    </>
  )
}

/** What is said of the words: the author’s own remark, or a thread that others are in, which can be answered. */
function SaidOf({
  book,
  remark,
  at,
  readOnly,
  onSay,
}: {
  book: Book
  remark: Remark | undefined
  /** Where the words stand: another place is another field. */
  at: string
  readOnly: boolean
  onSay: (remark: Remark | undefined) => void
}) {
  const own = book.review?.by ?? ''
  const thread = remark ? threadOf(remark) : []
  const others = thread.some(s => s.by !== own)
  const now = (words: string): Said => ({ by: own, when: own ? Date.now() : 0, words })
  if (!remark || (!others && thread.length === 1))
    return (
      <>
        your remark, which is never printed, is{' '}
        <TextValue
          key={at}
          label="Remark on the words"
          value={remark?.words ?? ''}
          placeholder="nothing yet"
          most={MOST_REMARK}
          disabled={readOnly}
          onTake={words => {
            if (words !== (remark?.words ?? '')) onSay(words ? { ...(own ? now(words) : { words }) } : undefined)
            return Promise.resolve(true)
          }}
        />
        .
      </>
    )
  return (
    <>
      {thread.map((s, i) => (
        <Fragment key={i}>
          {s.by === own ? 'you' : s.by || book.review?.from || 'you'} {i ? 'answered' : 'said of them'}: “{s.words}
          ”;{' '}
        </Fragment>
      ))}
      you answer{' '}
      <TextValue
        key={`${at} ${thread.length}`}
        label="Answer to the remark"
        value=""
        placeholder="nothing yet"
        most={MOST_REMARK}
        disabled={readOnly}
        onTake={words => {
          if (words) onSay(answered(remark, { ...now(words), when: Date.now() }))
          return Promise.resolve(true)
        }}
      />
      , or it is <ActValue words="settled" off={readOnly} onAct={() => onSay(undefined)} /> and goes.
    </>
  )
}

export const passage = kindOf('passage', find, Sentence)
