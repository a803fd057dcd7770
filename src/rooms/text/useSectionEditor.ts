'use client'
import { Editor } from '@tiptap/core'
import type { Node, Slice } from '@tiptap/pm/model'
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
  book: Book,
  section: Section | undefined,
  { rev, readOnly }: { rev: number; readOnly: boolean },
  onUpdate: () => void,
): { editor: Editor | undefined; saving: Saving; flush: () => Promise<void> } {
  const [editor, setEditor] = useState<Editor>()
  const [saving, setSaving] = useState<Saving>('saved')
  const pen = useRef<Pen>(undefined)
  const updated = useLatest(onUpdate)
  const pasted = usePasted(book, section)

  const open = useLatest(() => {
    if (!section || section.made) return undefined
    const p = penFor(book.id, section.id, rev, section.doc)
    const e = editorOn(p, { book, readOnly, pasted, updated })
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
  useEffect(() => open(), [open, book.id, id, made])

  useEffect(() => {
    editor?.setEditable(!readOnly)
  }, [editor, readOnly])

  useEffect(() => {
    const p = pen.current
    if (editor && !editor.isDestroyed && p && rev > p.revision) void p.catchUp()
  }, [editor, rev, saving])

  const flush = useLatest((): Promise<void> => pen.current?.flush() ?? Promise.resolve())
  return { editor, saving, flush }
}

interface EditorNeeds {
  book: Book
  readOnly: boolean
  /** What is pasted, as it comes into the section that the editor has. */
  pasted: (slice: Slice, doc: Node) => Slice
  updated: () => void
}

/** An editor on what a pen writes. */
function editorOn(pen: Pen, { book, readOnly, pasted, updated }: EditorNeeds): Editor {
  const { language } = book.data
  const e: Editor = new Editor({
    extensions: textExtensions(book.id, language),
    content: pen.doc.toJSON() as never,
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
      transformPasted: slice => pasted(slice, e.state.doc),
    },
    onTransaction: ({ transaction, appendedTransactions }) => {
      for (const tr of [transaction, ...appendedTransactions])
        if (tr.docChanged && !tr.getMeta(ELSEWHERE)) pen.write(tr.steps, tr.docs, tr.doc)
      updated()
    },
  })
  e.view.setProps({ clipboardSerializer: clipboardSerializer(e.schema, book.id) })
  return e
}

/** Takes what is pasted: its pictures come into the book, its ids are free here. */
function usePasted(book: Book, section: Section | undefined): EditorNeeds['pasted'] {
  const say = useSay()
  const sayMissing = ({ length: missing }: string[]): void => {
    if (!missing) return
    const some =
      missing === 1
        ? 'A picture or recording of what was pasted is'
        : `${missing} pictures or recordings of what was pasted are`
    say.warn(`${some} not in this library: a marked box stands there.`)
  }
  return useLatest((slice: Slice, doc: Node): Slice => {
    const has = new Set([...book.assets, ...(book.recordings ?? [])].map(a => a.id))
    const wanted = picturesIn(slice).filter(id => !has.has(id))
    if (wanted.length) takePictures(book.id, wanted).then(sayMissing, say.failed)
    // An id is free where neither this section nor any other of the book bears it.
    const free = (id: string): boolean => {
      let taken = false
      const look = (other: string): void => void (taken ||= other === id)
      doc.descendants(n => look(n.attrs.id as string))
      for (const s of book.sections) if (s.id !== section?.id) eachNamed(s.doc, look)
      return !taken
    }
    return withOwnNames(slice, book.id, free)
  })
}
