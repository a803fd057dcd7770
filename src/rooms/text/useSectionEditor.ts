'use client'
import { Editor } from '@tiptap/core'
import type { Transaction } from '@tiptap/pm/state'
import { useEffect, useRef, useState } from 'react'
import { eachNamed, type Book, type Section } from '@/core/book'
import { type Pen, penFor, type Saving } from '@/data/pen'
import { useLatest } from '@/parts/useLatest'
import { takePictures } from '@/data/pictures'
import { useSay } from '@/parts/useSay'
import { clipboardSerializer, picturesIn, withOwnNames } from './clipboard'
import { textExtensions } from './extensions'

/** Of a transaction that shows what comes from elsewhere: it is not the author's. */
const ELSEWHERE = 'elsewhere'

/**
 * An editor on one section. Its steps go to the section's pen, which writes them; what comes from elsewhere (undo, another
 * window) comes through the pen, too. The editor keeps no history: undo is the book's.
 */
export function useSectionEditor(
  book: Book | undefined,
  section: Section | undefined,
  rev: number,
  readOnly: boolean,
  onUpdate: (editor: Editor) => void,
): { editor: Editor | undefined; saving: Saving; flush: () => Promise<void> } {
  const [editor, setEditor] = useState<Editor>()
  const [saving, setSaving] = useState<Saving>('saved')
  const pen = useRef<Pen>(undefined)
  const update = useRef(onUpdate)
  update.current = onUpdate
  const newest = useRef(book)
  newest.current = book
  const say = useSay()
  const takeOver = useRef<(ids: string[]) => void>(() => undefined)
  takeOver.current = ids =>
    void takePictures(bookId, ids).then(
      missing =>
        missing.length &&
        say.warn(
          `${missing.length === 1 ? 'A picture' : `${missing.length} pictures`} of what was pasted ${missing.length === 1 ? 'is' : 'are'} not in this library: a marked box stands there.`,
        ),
      say.failed,
    )
  const [bookId, language] = [book?.id ?? '', book?.data.language ?? 'en']

  const open = useLatest(() => {
    if (!section || section.made || !bookId) return undefined
    const p = penFor(bookId, section.id, rev, section.doc)
    // An id is free where neither this section nor any other of the book bears it.
    const free = (id: string): boolean => {
      let taken = false
      const look = (other: string): void => void (taken ||= other === id)
      e.state.doc.descendants(n => look(n.attrs.id as string))
      for (const s of newest.current?.sections ?? []) if (s.id !== section.id) eachNamed(s.doc, look)
      return !taken
    }
    const e: Editor = new Editor({
      extensions: textExtensions(bookId, language),
      content: p.doc.toJSON() as never,
      editable: !readOnly,
      enableCoreExtensions: { delete: false } as never,
      editorProps: {
        attributes: {
          'aria-label': 'Text of the section',
          role: 'textbox',
          'aria-multiline': 'true',
          spellcheck: 'true',
          lang: language,
        },
        transformPasted: slice => {
          const has = new Set(newest.current?.assets.map(a => a.id))
          const wanted = picturesIn(slice).filter(id => !has.has(id))
          if (wanted.length) takeOver.current(wanted)
          return withOwnNames(slice, bookId, free)
        },
      },
      onTransaction: ({ editor: x, transaction, appendedTransactions }) => {
        for (const tr of [transaction, ...appendedTransactions])
          if (tr.docChanged && !tr.getMeta(ELSEWHERE)) p.write(tr.steps, tr.docs, tr.doc)
        update.current(x)
      },
    })
    e.view.setProps({ clipboardSerializer: clipboardSerializer(e.schema, bookId) })
    const detach = p.attach(work => {
      const tr: Transaction = e.state.tr.setMeta(ELSEWHERE, true).setMeta('addToHistory', false)
      const done = work(tr)
      e.view.dispatch(tr)
      return done
    }, e.schema)
    const unlisten = p.listen(() => setSaving(p.saving))
    pen.current = p
    setEditor(e)
    setSaving(p.saving)
    return () => {
      detach()
      unlisten()
      void p.flush()
      setEditor(undefined)
      e.destroy()
    }
  })
  const [id, made] = [section?.id, section?.made]
  useEffect(() => open(), [open, bookId, id, made])

  useEffect(() => {
    editor?.setEditable(!readOnly)
  }, [editor, readOnly])

  useEffect(() => {
    const p = pen.current
    if (editor && !editor.isDestroyed && p && rev > p.revision) void p.catchUp()
  }, [editor, rev, saving])

  return { editor, saving, flush: () => pen.current?.flush() ?? Promise.resolve() }
}
