'use client'
import type { Editor } from '@tiptap/core'
import type { Node } from '@tiptap/pm/model'
import type { EditorState } from '@tiptap/pm/state'
import { Input } from 'antd'
import { useState } from 'react'
import { type Book, countWords, isTimed, MOST_SPOKEN, type Recording, sortOf, spokenLines } from '@/core/book'
import { profileOf } from '@/core/outlets'
import { FilePick } from '@/parts/FilePick'
import { listed } from '@/parts/listed'
import { PictureChoice } from '@/parts/PictureChoice'
import { ChoiceValue } from '@/parts/Sentence'
import { useOutlets } from '@/parts/useOutlets'
import { useSay } from '@/parts/useSay'
import { type AtCursorProps, kindOf, setAttributes } from './kind'
import { findPicture, type FoundPicture } from './Picture'

/** The recording that is selected, or whose caption the cursor is in. */
function find(state: EditorState): FoundPicture | undefined {
  const found = findPicture(state)
  return found?.node.attrs.plays ? found : undefined
}

/** What plays there, what it says to those who cannot hear or see it, what is seen of it, and where it goes. */
function Sentence({ book, editor, found: { node, pos }, readOnly }: AtCursorProps<FoundPicture>) {
  const recording = book.recordings?.find(r => r.id === node.attrs.plays)
  const sort = recording ? sortOf(recording) : 'sound'
  const set = (attributes: Record<string, unknown>): void => setAttributes(editor, pos, attributes)
  return (
    <>
      The {sort} at the cursor is {recording?.name ? <b>{recording.name}</b> : 'not in this library'}
      {recording?.damaged
        ? ', which is damaged and cannot be played'
        : recording?.seconds !== undefined && `, ${duration(recording.seconds)}`}
      . It is said as{' '}
      <span className="value">
        <Input
          variant="borderless"
          aria-label={`What the ${sort} is`}
          placeholder="nothing yet, for readers who cannot hear or see it"
          value={node.attrs.alt as string}
          disabled={readOnly}
          onChange={e => set({ alt: e.target.value })}
        />
      </span>
      . {sort === 'film' ? 'Until it plays, and on paper, it shows' : 'Above it, and on paper, stands'}{' '}
      <span className="value">
        <PictureChoice
          bookId={book.id}
          assets={book.assets}
          value={node.attrs.asset as string}
          none="no picture"
          label={`Picture of the ${sort}`}
          disabled={readOnly}
          quiet
          onChange={asset => set({ asset })}
        />
      </span>
      . {recording && <Goes book={book} recording={recording} />}{' '}
      {!recording?.silent && sort === 'film' && (
        <Told node={node} readOnly={readOnly} onChange={told => set({ told })} />
      )}
      <Words editor={editor} node={node} pos={pos} readOnly={readOnly} />
    </>
  )
}

/** "2 min 5 s". */
function duration(seconds: number): string {
  const whole = Math.round(seconds)
  const [min, s] = [Math.floor(whole / 60), whole % 60]
  return [min > 0 && `${min} min`, (s > 0 || !min) && `${s} s`].filter(Boolean).join(' ')
}

/** Which of the ebook's outlets take it. */
function Goes({ book, recording }: { book: Book; recording: Recording }) {
  const outlets = useOutlets()
  const sort = sortOf(recording)
  const ebooks = book.editions.filter(e => e.kind === 'ebook')
  if (!ebooks.length) return <>This book has no ebook yet, and paper plays nothing.</>
  if (book.plan || ebooks.every(e => e.ebook?.fixed))
    return <>The pages of this book’s ebook are fixed, and play nothing.</>
  if (!outlets) return null
  const all = [...new Set(ebooks.flatMap(e => e.outlets))].map(o => profileOf(o, outlets))
  if (!all.length) return <>Its ebook goes to no outlet yet.</>
  const takes = all.filter(p => p.ebook?.plays?.includes(sort)).map(p => p.name)
  const not = all.filter(p => !p.ebook?.plays?.includes(sort)).map(p => p.name)
  return (
    <>
      {takes.length > 0 && `It goes with the ebook to ${listed(takes)}`}
      {takes.length > 0 && not.length > 0 && '; '}
      {not.length > 0 &&
        `${listed(not)} ${not.length === 1 ? 'takes' : 'take'} no ${sort}: its picture, caption and words stand there alone`}
      .
    </>
  )
}

/** Whether what a film shows is said in it as well. */
function Told({ node, readOnly, onChange }: { node: Node; readOnly: boolean; onChange: (told: boolean) => void }) {
  return (
    <>
      What it shows is{' '}
      <ChoiceValue
        label="Whether what the film shows is said in it"
        value={node.attrs.told ? 'told' : 'not'}
        choices={TOLD}
        disabled={readOnly}
        onChange={v => onChange(v === 'told')}
      />
      .{' '}
    </>
  )
}

const TOLD = [
  { value: 'not', words: 'not all said in it' },
  { value: 'told', words: 'said in it, too' },
] as const

/** What is said and heard in it: written here, or brought in from a file that may say when each is said. */
function Words({ editor, node, pos, readOnly }: { editor: Editor; node: Node; pos: number; readOnly: boolean }) {
  const [open, setOpen] = useState(false)
  const say = useSay()
  const spoken = node.attrs.spoken as string
  const words = countWords(spokenLines(spoken).join(' '))
  const take = (file: File): void =>
    void file.text().then(t => {
      if (t.length > MOST_SPOKEN)
        return say.warn(
          `“${file.name}” has more letters than the words of a recording may have: nothing of it was taken.`,
        )
      // What is written meanwhile may have moved it.
      let at: number | undefined
      editor.state.doc.forEach((n, offset) => {
        if (n.attrs.id === node.attrs.id) at = offset
      })
      setAttributes(editor, at ?? pos, { spoken: t })
    }, say.failed)
  return (
    <>
      What is said and heard in it is{' '}
      <span className="value">
        <button type="button" aria-expanded={open} onClick={() => setOpen(!open)}>
          {!spoken.trim()
            ? 'not written down'
            : `written down in ${words} ${words === 1 ? 'word' : 'words'}${isTimed(spoken) ? ', each line at its time' : ''}`}
        </button>
      </span>
      {open && (
        <>
          {' '}
          and may come from{' '}
          <FilePick
            label="Words of the recording: file"
            accept=".vtt,.txt,text/vtt,text/plain"
            onPick={([f]) => take(f!)}
          >
            {pick => (
              <span className="value">
                <button type="button" disabled={readOnly} onClick={pick}>
                  a file
                </button>
              </span>
            )}
          </FilePick>
        </>
      )}
      .
      {open && (
        <Input.TextArea
          className="spoken"
          aria-label="What is said and heard in the recording"
          placeholder="Write down what is said and heard: readers who cannot hear it read it below. A file of WebVTT says when each line is said, too."
          value={spoken}
          maxLength={MOST_SPOKEN}
          disabled={readOnly}
          autoSize={{ minRows: 3, maxRows: 8 }}
          onChange={e => setAttributes(editor, pos, { spoken: e.target.value })}
        />
      )}
    </>
  )
}

export const recording = kindOf('recording', find, Sentence)
