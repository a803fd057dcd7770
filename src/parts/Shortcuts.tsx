'use client'
import { Modal } from 'antd'
import { useState } from 'react'
import { isTyping, useKeys } from './useKeys'

const groups: { where: string; keys: [string, string][] }[] = [
  {
    where: 'Everywhere',
    keys: [
      ['?', 'this list'],
      ['/', 'to the search of the room'],
      ['Ctrl Z · Ctrl Shift Z', 'undo and redo, over everything of a book'],
      ['Tab', 'to the next control'],
    ],
  },
  {
    where: 'Intake and Check',
    keys: [
      ['↑ ↓', 'walk the list'],
      ['S · L', 'strike or take a section; its title a line like any other (Intake)'],
      ['P C F B · R', 'a part, a chapter, front or back matter; rename it (Intake)'],
      ['W', 'weaker signs of sections (Intake)'],
    ],
  },
  {
    where: 'Text',
    keys: [
      ['Ctrl F', 'find, and replace, in the whole book'],
      ['Alt P', 'proof-read: the doubts, or the sections again'],
      ['Alt N · Alt B', 'the next doubt, the one before'],
      ['Alt M · Alt L', 'mend it as is said first, leave it here'],
      ['Alt W · Alt R', 'the text alone on the full screen; read aloud, or stop'],
      ['Ctrl B · Ctrl I', 'bold, italic'],
      ['Ctrl Shift K · Ctrl Shift X', 'small capitals, struck'],
      ['Ctrl . · Ctrl ,', 'superscript, subscript'],
      ['Ctrl Shift U', 'small letters, a title, capitals in turn'],
      ['Ctrl Shift 8 · Ctrl Shift 7', 'a list, a numbered list, or none'],
      ['# · > · - · 1. and a space', 'a heading, a quote, a list, a numbered list'],
      ['**so** · *so* · ~~so~~ · ***', 'bold, italic, struck, a scene break'],
      ['Space on a handle, then ↑ ↓', 'move a section'],
      ['Alt ↑ ↓ on a section · Del · D', 'move it, remove it, duplicate it'],
      ['Tab · Esc, then Tab', 'the next cell, or an item further in; out of the text'],
    ],
  },
  {
    where: 'Interior',
    keys: [
      ['← →', 'turn a spread'],
      ['Home · End', 'first and last spread'],
      ['+ − 0', 'larger, smaller, the whole spread'],
      ['Ctrl and the wheel', 'larger or smaller about the pointer'],
    ],
  },
  { where: 'Cover', keys: [['← → ↑ ↓', 'move the chosen piece by a point, with Shift by ten']] },
]

/** The list of shortcuts, called by a question mark. */
export function Shortcuts() {
  const [open, setOpen] = useState(false)
  useKeys(e => {
    if (e.key !== '?' || e.ctrlKey || e.metaKey || isTyping(e)) return
    e.preventDefault()
    setOpen(o => !o)
  })
  return (
    <Modal open={open} onCancel={() => setOpen(false)} footer={null} title="Keys" width={860}>
      <div className="shortcuts">
        {groups.map(g => (
          <section key={g.where}>
            <h3>{g.where}</h3>
            <dl>
              {g.keys.map(([k, what]) => (
                <div key={k}>
                  <dt>{k}</dt>
                  <dd>{what}</dd>
                </div>
              ))}
            </dl>
          </section>
        ))}
      </div>
    </Modal>
  )
}
