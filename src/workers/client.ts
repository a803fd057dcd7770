import * as Comlink from 'comlink'
import type { Book, Section } from '@/core/book'
import type { PressApi } from './press.worker'

export type PressClient = Comlink.Remote<PressApi>

let client: PressClient | undefined

/** The press worker, started when first asked for. */
export function press(): PressClient {
  if (!client) {
    performance.mark('porchlight worker')
    client = Comlink.wrap<PressApi>(new Worker(new URL('./press.worker.ts', import.meta.url), { type: 'module' }))
    void client.warm()
  }
  return client
}

/** What the press already has of each book. */
const sent = new Map<string, { sections: Map<string, Section>; pictures: Set<string> }>()

/** Gives the press a book, or what is new of it: sections are told apart by identity. `pictures` is asked for bytes it has not seen. */
export async function openAtPress(book: Book, pictures: (ids: string[]) => Promise<Map<string, Uint8Array>>): Promise<void> {
  const known = sent.get(book.id) ?? { sections: new Map<string, Section>(), pictures: new Set<string>() }
  const { sections, ...head } = book
  const wanted = book.assets.map(a => a.id).filter(id => !known.pictures.has(id))
  const bytes = wanted.length ? await pictures(wanted) : new Map<string, Uint8Array>()
  const fresh = sections.filter(s => known.sections.get(s.id) !== s)
  sent.set(book.id, { sections: new Map(sections.map(s => [s.id, s])), pictures: new Set([...known.pictures, ...bytes.keys()]) })
  await press().open({ head, order: sections.map(s => s.id), sections: fresh, pictures: bytes })
}

/** The press forgets a book that is gone. */
export async function closeAtPress(bookId: string): Promise<void> {
  sent.delete(bookId)
  await press().close(bookId)
}

export const proxied = Comlink.proxy
