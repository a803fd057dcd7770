'use client'
import type { Editor } from '@tiptap/core'
import type { EditorState } from '@tiptap/pm/state'
import { NodeSelection } from '@tiptap/pm/state'
import { Input } from 'antd'
import { ChoiceValue } from '@/parts/Sentence'

const heights: [number, string][] = [
  [0.7, 'a small letter'],
  [1, 'a capital'],
  [1.3, 'a line'],
  [2, 'two lines'],
  [3, 'three lines'],
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
    <section className="issaid sign-about" aria-label="The sign at the cursor">
      The sign at the cursor is{' '}
      <ChoiceValue
        label="What the sign is"
        value={node.attrs.decoration ? 'decoration' : 'said'}
        choices={SAYS}
        disabled={readOnly}
        onChange={v => set('decoration', v === 'decoration')}
      />
      {!node.attrs.decoration && (
        <>
          {' '}
          as{' '}
          <span className="value">
            <Input
              key={`${at} ${node.attrs.asset as string}`}
              variant="borderless"
              aria-label="What the sign says"
              placeholder="nothing yet, for readers who cannot see it"
              defaultValue={node.attrs.alt as string}
              disabled={readOnly}
              onChange={e => describe(e.target.value)}
            />
          </span>
        </>
      )}
      , and as high as{' '}
      <ChoiceValue
        label="Height of the sign"
        value={String(nearest)}
        disabled={readOnly}
        choices={heights.map(([value, words]) => ({ value: String(value), words }))}
        onChange={h => set('height', Number(h))}
      />
      .
    </section>
  )
}

const SAYS = [
  { value: 'decoration', words: 'decoration alone' },
  { value: 'said', words: 'said' },
] as const
