'use client'
import { getMarkRange } from '@tiptap/core'
import { type EditorState, TextSelection } from '@tiptap/pm/state'
import { ChoiceValue } from '@/parts/Sentence'
import { languageName, passageTags } from '@/parts/languages'
import { type AtCursorProps, kindOf } from './kind'

interface FoundPassage {
  from: number
  to: number
  /** The language that they are marked to be in. */
  tag: string | undefined
  chosen: boolean
}

/** The words that are chosen, or the passage in another language that the cursor is in. */
function find({ selection, schema }: EditorState): FoundPassage | undefined {
  if (!(selection instanceof TextSelection)) return undefined
  const { $from, from, to, empty } = selection
  const type = schema.marks.language!
  const marks = empty ? $from.marks() : ($from.nodeAfter?.marks ?? [])
  const tag = type.isInSet(marks)?.attrs.tag as string | undefined
  if (!empty) return { from, to, tag, chosen: true }
  const range = tag === undefined ? undefined : getMarkRange($from, type)
  return range ? { ...range, tag, chosen: false } : undefined
}

const BOOKS = 'book'

/** The language of words: it says how they are divided, and how a reading voice says them. */
function Sentence({ book, editor, found: { from, to, tag, chosen }, readOnly }: AtCursorProps<FoundPassage>) {
  const set = (v: string): void => {
    const { tr, schema } = editor.state
    const type = schema.marks.language!
    tr.removeMark(from, to, type)
    if (v !== BOOKS) tr.addMark(from, to, type.create({ tag: v }))
    editor.view.dispatch(tr)
    editor.view.focus()
  }
  const others = passageTags.filter(t => t !== book.data.language)
  const known = tag === undefined || others.includes(tag) ? others : [tag, ...others]
  return (
    <>
      {chosen ? 'The chosen words are in ' : 'These words are in '}
      <ChoiceValue
        label="Language of the words"
        value={tag ?? BOOKS}
        disabled={readOnly}
        choices={[
          { value: BOOKS, words: `${languageName(book.data.language)}, as the book is` },
          ...known.map(value => ({ value, words: languageName(value) })),
        ]}
        onChange={set}
      />
      .
    </>
  )
}

export const passage = kindOf('passage', find, Sentence)
