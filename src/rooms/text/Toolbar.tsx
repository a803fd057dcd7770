'use client'
import { BoldOutlined, ItalicOutlined, PictureOutlined, SoundOutlined } from '@ant-design/icons'
import type { Editor } from '@tiptap/core'
import { Button, Select, Tooltip } from 'antd'
import { memo } from 'react'
import type { Book } from '@/core/book'
import { type BlockKind, blockKinds, insertBreak, insertNote, kindAt, linkAt, setKind, turnCase } from './commands'
import { LinkButton } from './LinkButton'
import { insertTable } from './tables'

const names: Record<BlockKind, string> = {
  paragraph: 'Paragraph',
  'heading 1': 'Heading',
  'heading 2': 'Smaller heading',
  'heading 3': 'Least heading',
  quote: 'Quote',
  letter: 'Letter',
  verse: 'Verse',
  list: 'List',
  'numbered list': 'Numbered list',
}

interface ToolbarProps {
  editor: Editor
  language: string
  /** What links may lead to, when that is asked. */
  book: () => Book
  disabled: boolean
  onInsert: (what: Insert) => void
}

/** What comes into the text from a file. */
export type Insert = 'picture' | 'sign' | 'recording'

/** What can be done to the words at the cursor. It looks at the editor at each of its turns (`turn`), and is drawn anew where it would show something else. */
export function Toolbar({ turn: _turn, ...props }: ToolbarProps & { turn: number }) {
  const { editor } = props
  return (
    <Tools
      {...props}
      shown={JSON.stringify([
        kindAt(editor.state),
        editor.state.selection.empty,
        linkAt(editor),
        ...toggled.map(m => editor.isActive(m)),
      ])}
    />
  )
}
const toggled = ['strong', 'em', 'small_caps', 'superscript', 'subscript', 'strike'] as const

const Tools = memo(function Tools({ editor, language, book, disabled, onInsert }: ToolbarProps & { shown: string }) {
  const mark = (name: (typeof toggled)[number], label: string, keys: string, face: React.ReactNode) => (
    <Tooltip title={`${label} (${keys})`}>
      <Button
        type="text"
        size="small"
        aria-label={label}
        aria-pressed={editor.isActive(name)}
        className={editor.isActive(name) ? 'on' : undefined}
        disabled={disabled}
        onMouseDown={e => e.preventDefault()}
        onClick={() => editor.chain().focus().toggleMark(name).run()}
      >
        {face}
      </Button>
    </Tooltip>
  )
  return (
    <div className="toolbar" role="toolbar" aria-label="Form of the text">
      <Select
        size="small"
        variant="borderless"
        aria-label="Kind of block"
        value={kindAt(editor.state)}
        disabled={disabled}
        onChange={k => setKind(editor, k)}
        options={blockKinds.map(value => ({ value, label: names[value] }))}
        style={{ width: 126 }}
      />
      {mark('strong', 'Bold', 'Ctrl+B', <BoldOutlined />)}
      {mark('em', 'Italic', 'Ctrl+I', <ItalicOutlined />)}
      {mark('small_caps', 'Small capitals', 'Ctrl+Shift+K', <span className="sc">Sc</span>)}
      {mark(
        'superscript',
        'Superscript',
        'Ctrl+.',
        <span>
          x<sup>2</sup>
        </span>,
      )}
      {mark(
        'subscript',
        'Subscript',
        'Ctrl+,',
        <span>
          x<sub>2</sub>
        </span>,
      )}
      {mark('strike', 'Struck', 'Ctrl+Shift+X', <s>S</s>)}
      <Tooltip title="Small letters, a title, capitals in turn (Ctrl+Shift+U)">
        <Button
          type="text"
          size="small"
          aria-label="Turn the case"
          disabled={disabled || editor.state.selection.empty}
          onMouseDown={e => e.preventDefault()}
          onClick={() => turnCase(editor, language)}
        >
          aA
        </Button>
      </Tooltip>
      <LinkButton editor={editor} book={book} disabled={disabled} />
      <span className="bar" aria-hidden />
      <Button type="text" size="small" disabled={disabled} onClick={() => insertNote(editor)}>
        Note
      </Button>
      <Button type="text" size="small" disabled={disabled} onClick={() => insertBreak(editor, 'scene_break')}>
        Scene break
      </Button>
      <Button type="text" size="small" disabled={disabled} onClick={() => insertBreak(editor, 'page_break')}>
        Page break
      </Button>
      <Button type="text" size="small" disabled={disabled} onClick={() => insertTable(editor)}>
        Table
      </Button>
      <Tooltip title="Picture">
        <Button
          type="text"
          size="small"
          aria-label="Picture"
          disabled={disabled}
          icon={<PictureOutlined />}
          onClick={() => onInsert('picture')}
        />
      </Tooltip>
      <Tooltip title="Sound or film">
        <Button
          type="text"
          size="small"
          aria-label="Sound or film"
          disabled={disabled}
          icon={<SoundOutlined />}
          onClick={() => onInsert('recording')}
        />
      </Tooltip>
      <Tooltip title="A small picture in the line">
        <Button type="text" size="small" disabled={disabled} onClick={() => onInsert('sign')}>
          Sign
        </Button>
      </Tooltip>
    </div>
  )
})
