import type { Book } from './book'
import { type DocJson, eachInline } from './doc'
import { safeHref } from './links'
import { draftOf } from './pair'

/**
 * Words that name another book lead, in an ebook, to that book's page at the outlet which the ebook goes to. All its addresses stand
 * with the words, a line an outlet: "ostrevane https://ostrevane.example/books/flood".
 */
const LINE = /^([a-z0-9][a-z0-9-]{0,59}) (https:\/\/\S{1,1000})$/

/** Whether a text is a list of such addresses. */
export const isShops = (text: string): boolean =>
  text.split('\n').every(l => {
    const address = LINE.exec(l)?.[2]
    return address !== undefined && !!safeHref(address)
  })

/** The address at an outlet. */
export const addressAt = (text: string, outlet: string): string | undefined =>
  text
    .split('\n')
    .map(l => LINE.exec(l))
    .find(m => m?.[1] === outlet)?.[2]

/** Where a book stands at outlets, as its listings say: of several editions there the ebook's page, else the first; empty where none is said. */
export function shopsOf(book: Pick<Book, 'editions' | 'listings'>): string {
  const { editions } = book as Partial<Book>
  const found = new Map<string, string>()
  // A record that is broken has no address to give.
  for (const e of [...(editions ?? [])].sort((a, b) => Number(b.kind === 'ebook') - Number(a.kind === 'ebook')))
    for (const outlet of e.outlets) {
      const { address } = draftOf(book, e.id, outlet)
      if (address && !found.has(outlet)) found.set(outlet, address)
    }
  return [...found]
    .map(([outlet, address]) => `${outlet} ${address}`)
    .filter(isShops)
    .sort()
    .join('\n')
}

/** Books that a text names with an address somewhere, and how many of them have one at an outlet. */
export function shopsIn(docs: readonly DocJson[], outlet: string): { named: number; led: number } {
  const out = { named: 0, led: 0 }
  for (const doc of docs)
    eachInline(doc, content => {
      for (const n of content)
        for (const m of n.marks ?? [])
          if (m.type === 'shops') {
            out.named++
            if (addressAt(m.attrs.at, outlet)) out.led++
          }
    })
  return out
}
