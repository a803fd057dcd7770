'use client'
import type { Editor } from '@tiptap/core'
import type { Node } from '@tiptap/pm/model'
import { Input } from 'antd'
import { ChoiceValue } from '@/parts/Sentence'
import { setAttributes } from './kind'

/** Whether a picture says something, and what, to those who cannot see it. Every letter goes into the text, as though it were typed there. */
export function Describes({
  name,
  editor,
  node: { attrs },
  pos,
  readOnly,
}: {
  /** What it is called: "sign", "picture". */
  name: string
  editor: Editor
  node: Node
  pos: number
  readOnly: boolean
}) {
  return (
    <>
      <ChoiceValue
        label={`What the ${name} is`}
        value={attrs.decoration ? 'decoration' : 'said'}
        choices={SAYS}
        disabled={readOnly}
        onChange={v => setAttributes(editor, pos, { decoration: v === 'decoration' })}
      />
      {!attrs.decoration && (
        <>
          {' '}
          as{' '}
          <span className="value">
            <Input
              variant="borderless"
              aria-label={`What the ${name} says`}
              placeholder="nothing yet, for readers who cannot see it"
              value={attrs.alt as string}
              disabled={readOnly}
              onChange={e =>
                setAttributes(editor, pos, {
                  alt: e.target.value,
                  // What is described is more than decoration.
                  decoration: !e.target.value.trim() && (attrs.decoration as boolean),
                })
              }
            />
          </span>
        </>
      )}
    </>
  )
}

const SAYS = [
  { value: 'decoration', words: 'decoration alone' },
  { value: 'said', words: 'said' },
] as const
