'use client'
import { type Editor, getMarkRange } from '@tiptap/core'
import { type EditorState, TextSelection } from '@tiptap/pm/state'
import { type Book, docWords } from '@/core/book'
import { ChoiceValue, TextValue } from '@/parts/Sentence'
import { languageName, passageTags } from '@/parts/languages'
import { chosenIn, inReading } from '../countOf'
import { type AtCursorProps, kindOf } from './kind'

interface FoundPassage {
  from: number
  to: number
  /** The language that they are marked to be in. */
  tag: string | undefined
  /** What the author says of them. */
  remark: string | undefined
  chosen: boolean
}

/** The words that are chosen, or the passage in another language that the cursor is in, or words with a remark. */
function find({ selection, schema }: EditorState): FoundPassage | undefined {
  if (!(selection instanceof TextSelection)) return undefined
  const { $from, from, to, empty } = selection
  const marks = empty ? $from.marks() : ($from.nodeAfter?.marks ?? [])
  const value = (name: 'language' | 'remark', attr: string): string | undefined =>
    schema.marks[name]!.isInSet(marks)?.attrs[attr] as string | undefined
  const [tag, remark] = [value('language', 'tag'), value('remark', 'words')]
  if (!empty) return { from, to, tag, remark, chosen: true }
  const name = tag !== undefined ? 'language' : remark !== undefined ? 'remark' : undefined
  const range = name && getMarkRange($from, schema.marks[name]!)
  return range ? { ...range, tag, remark, chosen: false } : undefined
}

const BOOKS = 'book'

/** What the chosen words come to. */
function Counted({ book, editor, pages }: { book: Book; editor: Editor; pages: number | undefined }) {
  const chosen = chosenIn(editor)
  if (!chosen) return 'The chosen words'
  const whole = book.sections.reduce((n, s) => n + (s.made ? 0 : docWords(s.doc)), 0)
  return (
    <>
      The {chosen.words === 1 ? 'one' : <b>{chosen.words.toLocaleString('en')}</b>} chosen{' '}
      {chosen.words === 1 ? 'word' : 'words'} ({inReading(chosen, pages && whole ? pages / whole : undefined)})
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
  const mark = (name: 'language' | 'remark', attrs: Record<string, string> | undefined): void => {
    if (!editor.isEditable) return
    const { tr, schema } = editor.state
    const type = schema.marks[name]!
    tr.removeMark(from, to, type)
    if (attrs) tr.addMark(from, to, type.create(attrs))
    // The focus stays here: the key that took the words must not go into the text.
    editor.view.dispatch(tr)
  }
  const others = passageTags.filter(t => t !== book.data.language)
  const tags = tag === undefined || others.includes(tag) ? others : [tag, ...others]
  return (
    <>
      {chosen ? <Counted book={book} editor={editor} pages={known.count} /> : 'These words'} are in{' '}
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
      ; your remark on them, which is never printed, is{' '}
      <TextValue
        key={`${from} ${to}`}
        label="Remark on the words"
        value={remark ?? ''}
        placeholder="nothing yet"
        most={10_000}
        disabled={readOnly}
        onTake={words => {
          if (words !== (remark ?? '')) mark('remark', words ? { words } : undefined)
          return Promise.resolve(true)
        }}
      />
      .
    </>
  )
}

export const passage = kindOf('passage', find, Sentence)
