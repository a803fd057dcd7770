'use client'
import { useLiveQuery } from 'dexie-react-hooks'
import { useEffect, useState } from 'react'
import { freshBookId, getBook, listBooks, putBook } from '@/data/books'
import { loadDemoOnce } from '@/data/demo'
import { createBook, newSection, plainEditions } from '@/core/book'
import { holdManuscript } from '@/data/waiting'
import { openAtPress, press } from '@/workers/client'
import type { Outlook } from '@/workers/press.worker'

export interface ShelfEntry {
  id: string
  title: string
  subtitle?: string
  author: string
  series?: { name: string; number?: number }
  imprint: string
  outlook?: Outlook & { frontUrl?: string }
}

/** Books of the shelf, each with its outlook as soon as the press has worked it out. */
export function useShelf(): { entries: ShelfEntry[] | undefined; trouble?: string } {
  const records = useLiveQuery(listBooks)
  const [outlooks, setOutlooks] = useState<Record<string, ShelfEntry['outlook']>>({})
  const [ready, setReady] = useState(false)
  const [trouble, setTrouble] = useState<string>()

  useEffect(() => {
    loadDemoOnce(press()).catch((e: Error) => setTrouble(e.message)).finally(() => setReady(true))
  }, [])

  useEffect(() => {
    let gone = false
    const work = async (): Promise<void> => {
      for (const r of records ?? []) {
        if (gone || outlooks[r.id]) continue
        const stored = await getBook(r.id)
        if (!stored) continue
        await openAtPress(stored.book, async () => stored.pictures)
        const outlook = await press().outlook(r.id)
        if (!gone) setOutlooks(o => ({ ...o, [r.id]: { ...outlook, ...(outlook.front ? { frontUrl: URL.createObjectURL(outlook.front) } : {}) } }))
      }
    }
    work().catch((e: Error) => setTrouble(e.message))
    return () => {
      gone = true
    }
  }, [records, outlooks])

  if (!records || (!ready && !records.length)) return { entries: undefined, trouble }
  return {
    trouble,
    entries: records.map(r => ({ id: r.id, title: r.data.title, subtitle: r.data.subtitle, author: r.data.contributors.find(c => c.role === 'aut')?.name ?? '', series: r.data.series, imprint: r.data.imprint.name, outlook: outlooks[r.id] })),
  }
}

/** Brings a file in: a project becomes a book at once (gives its title), a manuscript waits in the intake room. */
export async function bringIn(file: File): Promise<{ title?: string }> {
  const read = await press().readFile(file.name, new Uint8Array(await file.arrayBuffer()))
  if (!read.project) {
    holdManuscript({ file: file.name, read })
    return {}
  }
  const id = await freshBookId(read.book.data.title)
  await putBook({ book: { ...read.book, id, editions: read.book.editions.length ? read.book.editions : plainEditions }, pictures: read.pictures })
  return { title: read.book.data.title }
}

/** A new book with one empty chapter. */
export async function beginBook(title: string, author: string): Promise<void> {
  const id = await freshBookId(title)
  const book = createBook(id, { title, contributors: author ? [{ name: author, role: 'aut' }] : [], language: 'en-GB', imprint: { name: '' }, subjects: [] })
  await putBook({ book: { ...book, sections: [...book.sections, newSection(book, 'chapter')], editions: plainEditions }, pictures: new Map() })
}
