'use client'
import { Editor } from '@tiptap/core'
import { type Slice } from '@tiptap/pm/model'
import { Plugin, PluginKey } from '@tiptap/pm/state'
import { useEffect, useRef, useState } from 'react'
import { type DocJson, type Section } from '@/core/book'
import { commitText } from '@/data/changes'
import { textExtensions } from './extensions'

export type Saving = 'saved' | 'saving' | 'not saved'

/** Unsaved words are written this long after a rest, and at the latest this long after the first of them. */
const REST = 250
const LATEST = 800

/**
 * An editor on one section. Its own steps are collected and committed with their inverses; what comes from elsewhere (undo,
 * another window) is taken over where it differs. The editor keeps no history: undo is the book's.
 */
export function useSectionEditor(bookId: string, section: Section | undefined, language: string, rev: number, readOnly: boolean, onUpdate: (editor: Editor) => void): { editor: Editor | undefined; saving: Saving; flush: () => Promise<void> } {
  const [editor, setEditor] = useState<Editor>()
  const [saving, setSaving] = useState<Saving>('saved')
  const pending = useRef<{ forward: unknown[]; inverse: unknown[]; since: number }>({ forward: [], inverse: [], since: 0 })
  // The newest revision this editor has written or taken over. While a write is on its way nothing is taken over: it may be our own.
  const knownRev = useRef(0)
  const writes = useRef(0)
  const [settled, setSettled] = useState(0)
  const flushing = useRef<Promise<void>>(Promise.resolve())
  const flushRef = useRef<() => Promise<void>>(async () => undefined)
  const update = useRef(onUpdate)
  update.current = onUpdate

  useEffect(() => {
    if (!section || section.made) return
    const id = section.id
    let timer: ReturnType<typeof setTimeout> | undefined
    const collect = new Plugin({
      key: new PluginKey('collect'),
      state: {
        init: () => null,
        apply(tr) {
          if (!tr.docChanged || tr.getMeta('elsewhere')) return null
          const p = pending.current
          if (!p.forward.length) p.since = Date.now()
          tr.steps.forEach((s, i) => {
            p.forward.push(s.toJSON())
            p.inverse.unshift(s.invert(tr.docs[i]!).toJSON())
          })
          setSaving('saving')
          clearTimeout(timer)
          timer = setTimeout(() => void flush(), Math.max(0, Math.min(REST, p.since + LATEST - Date.now())))
          return null
        },
      },
    })
    const e = new Editor({
      extensions: textExtensions(language), content: section.doc as never, editable: !readOnly, enableCoreExtensions: { delete: false } as never,
      editorProps: { attributes: { 'aria-label': 'Text of the section', role: 'textbox', 'aria-multiline': 'true', spellcheck: 'true', lang: language } },
      onTransaction: ({ editor: x }) => update.current(x),
    })
    e.registerPlugin(collect)
    knownRev.current = rev
    pending.current = { forward: [], inverse: [], since: 0 }
    const flush = (): Promise<void> => {
      clearTimeout(timer)
      const p = pending.current
      if (!p.forward.length) return flushing.current
      pending.current = { forward: [], inverse: [], since: 0 }
      const doc = e.state.doc.toJSON() as DocJson
      writes.current++
      flushing.current = flushing.current
        .then(() => commitText(bookId, id, { forward: p.forward, inverse: p.inverse }, doc))
        .then(written => {
          knownRev.current = Math.max(knownRev.current, written)
          setSaving(pending.current.forward.length ? 'saving' : 'saved')
        })
        .catch(() => {
          // What could not be written waits in front of what comes next.
          pending.current = { forward: [...p.forward, ...pending.current.forward], inverse: [...pending.current.inverse, ...p.inverse], since: Date.now() }
          setSaving('not saved')
          timer = setTimeout(() => void flush(), 3000)
        })
        .finally(() => {
          writes.current--
          setSettled(n => n + 1)
        })
      return flushing.current
    }
    flushRef.current = flush
    setEditor(e)
    setSaving('saved')
    const leave = (): void => void flush()
    addEventListener('pagehide', leave)
    document.addEventListener('visibilitychange', leave)
    return () => {
      removeEventListener('pagehide', leave)
      document.removeEventListener('visibilitychange', leave)
      void flush()
      setEditor(undefined)
      e.destroy()
    }
  }, [bookId, section?.id, section?.made])

  useEffect(() => {
    editor?.setEditable(!readOnly, false)
  }, [editor, readOnly])

  // What the store has, where it is not what we wrote: the least stretch that differs is replaced.
  useEffect(() => {
    if (!editor || editor.isDestroyed || !section || rev <= knownRev.current || writes.current || pending.current.forward.length) return
    const theirs = editor.schema.nodeFromJSON(section.doc)
    const ours = editor.state.doc
    knownRev.current = rev
    const start = ours.content.findDiffStart(theirs.content)
    if (start === null) return
    let { a, b } = ours.content.findDiffEnd(theirs.content)!
    const overlap = start - Math.min(a, b)
    if (overlap > 0) {
      a += overlap
      b += overlap
    }
    const tr = editor.state.tr.replace(start, a, theirs.slice(start, b) as Slice).setMeta('elsewhere', true)
    editor.view.dispatch(tr.doc.eq(theirs) ? tr : editor.state.tr.replaceWith(0, ours.content.size, theirs.content).setMeta('elsewhere', true))
  }, [editor, section, rev, settled])

  return { editor, saving, flush: () => flushRef.current() }
}
