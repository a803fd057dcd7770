'use client'
import type { Node } from '@tiptap/pm/model'
import { type EditorState, NodeSelection } from '@tiptap/pm/state'
import { ChoiceValue } from '@/parts/Sentence'
import { Describes } from './Describes'
import { type AtCursorProps, kindOf, nearest, setAttributes } from './kind'

const heights: [number, string][] = [
  [0.7, 'a small letter'],
  [1, 'a capital'],
  [1.3, 'a line'],
  [2, 'two lines'],
  [3, 'three lines'],
]

interface FoundSign {
  node: Node
  pos: number
}

/** The sign that is selected, or that the cursor stands behind. */
function find({ selection }: EditorState): FoundSign | undefined {
  if (selection instanceof NodeSelection)
    return selection.node.type.name === 'sign' ? { node: selection.node, pos: selection.from } : undefined
  const { $from, empty } = selection
  const node = empty ? $from.nodeBefore : null
  return node?.type.name === 'sign' ? { node, pos: $from.pos - node.nodeSize } : undefined
}

/** What a small picture in the line is to those who cannot see it, and how high it stands. */
function Sentence({ editor, found: { node, pos }, readOnly }: AtCursorProps<FoundSign>) {
  return (
    <>
      The sign at the cursor is <Describes name="sign" editor={editor} node={node} pos={pos} readOnly={readOnly} />, and
      as high as{' '}
      <ChoiceValue
        label="Height of the sign"
        value={String(nearest(heights, node.attrs.height as number))}
        disabled={readOnly}
        choices={heights.map(([value, words]) => ({ value: String(value), words }))}
        onChange={h => setAttributes(editor, pos, { height: Number(h) })}
      />
      .
    </>
  )
}

export const sign = kindOf('sign', find, Sentence)
