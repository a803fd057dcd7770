'use client'
import { LinkOutlined } from '@ant-design/icons'
import type { Editor } from '@tiptap/core'
import { AutoComplete, Button, Popover, type RefSelectProps } from 'antd'
import { type Ref, useMemo, useRef, useState } from 'react'
import type { Book } from '@/core/book'
import { linkAt, setLink } from './commands'
import { type LinkChoice, linkChoices, placeName } from './linkChoices'

const KINDS: [LinkChoice['kind'], string][] = [
  ['section', 'Sections'],
  ['heading', 'Headings'],
  ['place', 'Places in the text'],
]

/** Where the chosen words lead: an address, or a section, a heading or a place of the book by its words. */
export function LinkButton({ editor, book, disabled }: { editor: Editor; book: () => Book; disabled: boolean }) {
  const [open, setOpen] = useState(false)
  const field = useRef<RefSelectProps>(null)
  const now = linkAt(editor)
  return (
    <Popover
      trigger="click"
      open={open}
      placement="bottom"
      destroyOnHidden
      onOpenChange={setOpen}
      // A field that is not seen yet takes no focus.
      afterOpenChange={is => is && field.current?.focus()}
      content={<LinkChooser ref={field} editor={editor} book={book} now={now} onDone={() => setOpen(false)} />}
    >
      <Button
        type="text"
        size="small"
        aria-label="Link"
        className={now ? 'on' : undefined}
        disabled={disabled || (editor.state.selection.empty && !now)}
        icon={<LinkOutlined />}
      />
    </Popover>
  )
}

function LinkChooser({
  ref,
  editor,
  book: latest,
  now,
  onDone,
}: {
  ref: Ref<RefSelectProps>
  editor: Editor
  book: () => Book
  now: string
  onDone: () => void
}) {
  // Where the words may lead is what there was when it was asked.
  const [book] = useState(latest)
  const [typed, setTyped] = useState(now.startsWith('#') ? '' : now)
  const choices = useMemo(() => linkChoices(book, typed), [book, typed])
  const set = (address: string): void => {
    setLink(editor, address)
    onDone()
  }
  const inner = now.startsWith('#') ? placeName(book, now.slice(1)) : undefined
  return (
    <div className="leads">
      {now.startsWith('#') && (
        <p>{inner === undefined ? 'It leads to a place that is no more in the book.' : `It leads to “${inner}”.`}</p>
      )}
      <span>
        <AutoComplete
          ref={ref}
          defaultActiveFirstOption={!isAddress(typed)}
          popupMatchSelectWidth={340}
          value={typed}
          options={KINDS.flatMap(([kind, label]) => {
            const of = choices.filter(c => c.kind === kind)
            return of.length
              ? [{ label, options: of.map(c => ({ value: `#${c.id}`, label: <Choice choice={c} /> })) }]
              : []
          })}
          onChange={setTyped}
          onSelect={set}
          // Words are those of a place, and Enter takes the one that is marked; an address is taken as it is.
          onKeyDown={e => e.key === 'Enter' && isAddress(typed) && set(typed)}
          placeholder="an address, or words of a place in the book"
          aria-label="Where the link leads"
          style={{ width: 300 }}
        />
        <Button size="small" onClick={() => set(typed)}>
          Set
        </Button>
        {now && (
          <Button size="small" type="text" onClick={() => set('')}>
            Take it away
          </Button>
        )}
      </span>
    </div>
  )
}

/** Whether what was typed is an address rather than words: it names a way of reaching it, a domain or a mailbox. */
const isAddress = (typed: string): boolean => /^[a-z][a-z0-9+.-]*:|^\S+[.@]\S{2,}$/i.test(typed.trim())

const Choice = ({ choice: { name, within } }: { choice: LinkChoice }) => (
  <span className="place">
    {name}
    {within && <em>{within}</em>}
  </span>
)
