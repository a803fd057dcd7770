'use client'
import { css } from '@codemirror/lang-css'
import { xml } from '@codemirror/lang-xml'
import { EditorState } from '@codemirror/state'
import { EditorView, lineNumbers } from '@codemirror/view'
import { minimalSetup } from 'codemirror'
import { useEffect, useRef } from 'react'
import { useLatest } from '@/parts/useLatest'

/** Code, to be read or written. What is written is told at each key. */
export default function Code({
  label,
  language,
  text,
  onWrite,
}: {
  label: string
  language: 'css' | 'xml'
  text: string
  /** Absent: it is only read. */
  onWrite?: (text: string) => void
}) {
  const place = useRef<HTMLDivElement>(null)
  const tell = useLatest((written: string) => onWrite?.(written))
  const writes = !!onWrite
  // What is written here is the editor's own until it is another text's turn.
  const first = useRef(text)
  useEffect(() => {
    first.current = text
  }, [text])
  const key = writes ? '' : text
  useEffect(() => {
    const view = new EditorView({
      parent: place.current!,
      state: EditorState.create({
        doc: key || first.current,
        extensions: [
          minimalSetup,
          lineNumbers(),
          EditorView.lineWrapping,
          language === 'css' ? css() : xml(),
          EditorState.readOnly.of(!writes),
          EditorView.contentAttributes.of({ 'aria-label': label }),
          EditorView.updateListener.of(u => u.docChanged && tell(u.state.doc.toString())),
        ],
      }),
    })
    return () => view.destroy()
  }, [key, language, label, writes, tell])
  return <div className="code" ref={place} />
}
