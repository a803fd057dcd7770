'use client'
import type { Editor } from '@tiptap/core'
import type { EditorState } from '@tiptap/pm/state'
import { NodeSelection } from '@tiptap/pm/state'
import { Checkbox, Input, Select } from 'antd'

const heights: [number, string][] = [
  [0.7, 'as a small letter'],
  [1, 'as a capital'],
  [1.3, 'as a line'],
  [2, 'as two lines'],
  [3, 'as three lines'],
]

/** The sign that is selected, or that the cursor stands behind, with its position. */
function signAt({ selection }: EditorState) {
  if (selection instanceof NodeSelection)
    return selection.node.type.name === 'sign' ? { node: selection.node, at: selection.from } : undefined
  const { $from, empty } = selection
  const node = empty ? $from.nodeBefore : null
  return node?.type.name === 'sign' ? { node, at: $from.pos - node.nodeSize } : undefined
}

/** What a small picture in the line is to those who cannot see it, and how high it stands. It reads the editor's state at each of its turns (`turn`). */
export function SignAtCursor({ editor, readOnly }: { editor: Editor; turn: number; readOnly: boolean }) {
  const sign = signAt(editor.state)
  if (!sign) return null
  const { node, at } = sign
  const set = (name: string, value: unknown): void =>
    editor.view.dispatch(editor.state.tr.setNodeAttribute(at, name, value))
  // What is described is more than decoration.
  const describe = (alt: string): void =>
    editor.view.dispatch(
      editor.state.tr
        .setNodeAttribute(at, 'alt', alt)
        .setNodeAttribute(at, 'decoration', !alt.trim() && (node.attrs.decoration as boolean)),
    )
  const height = node.attrs.height as number
  const nearest = heights.reduce((best, h) => (Math.abs(h[0] - height) < Math.abs(best[0] - height) ? h : best))[0]
  return (
    <section className="sign-about" aria-label="The sign at the cursor">
      <h2>The sign at the cursor</h2>
      <Input.TextArea
        key={`${at} ${node.attrs.asset as string}`}
        size="small"
        autoSize={{ minRows: 1, maxRows: 4 }}
        aria-label="What the sign says"
        placeholder="for readers who cannot see it"
        defaultValue={node.attrs.alt as string}
        disabled={readOnly}
        onChange={e => describe(e.target.value)}
      />
      <Checkbox
        checked={node.attrs.decoration as boolean}
        disabled={readOnly}
        onChange={e => set('decoration', e.target.checked)}
      >
        only decoration
      </Checkbox>
      <Select
        size="small"
        aria-label="Height of the sign"
        value={nearest}
        disabled={readOnly}
        options={heights.map(([value, label]) => ({ value, label }))}
        onChange={h => set('height', h)}
        style={{ width: '100%' }}
        popupMatchSelectWidth={190}
      />
    </section>
  )
}
