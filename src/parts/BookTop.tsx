'use client'
import { RedoOutlined, UndoOutlined } from '@ant-design/icons'
import { Button, Tooltip } from 'antd'
import Link from 'next/link'
import { useEffect } from 'react'
import { redo, undo } from '@/data/changes'
import { Lamp } from './Lamp'
import type { OpenBook } from './useOpenBook'
import './bookTop.css'

const stages = [{ id: 'plan', name: 'Plan' }, { id: 'interior', name: 'Interior' }] as const

const kindWords: Record<string, string> = { paperback: 'Paperback', case: 'Case', coil: 'Coil', saddle: 'Booklet', ebook: 'Ebook' }

/** The line above a book's rooms: its name, its edition's lamp, undo and redo, the stages that there are. */
export function BookTop({ bookId, view, stage }: { bookId: string; view: OpenBook; stage: (typeof stages)[number]['id'] }) {
  const { book, edition, figures } = view
  const stopped = figures?.findings.some(f => f.severity === 'stop')

  useEffect(() => {
    const onKey = (e: KeyboardEvent): void => {
      // Inside a field the field's own undo comes first.
      if (e.target instanceof HTMLElement && e.target.closest('input, textarea, [contenteditable]')) return
      if (!(e.ctrlKey || e.metaKey) || e.key.toLowerCase() !== 'z') return
      e.preventDefault()
      void (e.shiftKey ? redo(bookId) : undo(bookId))
    }
    addEventListener('keydown', onKey)
    return () => removeEventListener('keydown', onKey)
  }, [bookId])

  return (
    <header className="topline booktop">
      <h1>{book?.data.title ?? ''}</h1>
      {edition && figures && <span className="lamps"><Lamp state={stopped ? 'dim' : 'lit'} /> <b>{kindWords[edition.kind]}</b> {stopped ? 'begun' : 'ready'}</span>}
      <span className="history">
        <Tooltip title={view.undo ? `Undo: ${view.undo}` : 'Nothing to undo'}><Button type="text" aria-label="Undo" icon={<UndoOutlined />} disabled={!view.undo} onClick={() => void undo(bookId)} /></Tooltip>
        <Tooltip title={view.redo ? `Redo: ${view.redo}` : 'Nothing to redo'}><Button type="text" aria-label="Redo" icon={<RedoOutlined />} disabled={!view.redo} onClick={() => void redo(bookId)} /></Tooltip>
      </span>
      <nav className="stages" aria-label="Stages">
        {stages.map(s => <Link key={s.id} href={`/book/${encodeURIComponent(bookId)}/${s.id}`} aria-current={s.id === stage ? 'page' : undefined}>{s.name}</Link>)}
      </nav>
    </header>
  )
}

/** Where an address names a book that is not in this library. */
export function NoBook() {
  return (
    <main id="room" className="room">
      <div className="nobook">
        <h1>This book is not here</h1>
        <p>It may have been removed, or the address is another library’s.</p>
        <Link href="/">Back to the shelf</Link>
      </div>
    </main>
  )
}
