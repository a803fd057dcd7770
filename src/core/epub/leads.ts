import { safeHref, type Section } from '../book'

/** How links of the text go into an ebook. */
export interface LinkRule {
  /** Where links to sections and blocks lead, by id. */
  places: ReadonlyMap<string, string>
  /** Hosts in the web that they may lead to; any, where it is not said. */
  linksTo?: readonly string[] | undefined
  /** The outlet that the ebook goes to, by its id: books that are named lead to their pages there. */
  outlet?: string | undefined
}

/** Where a link leads from the ebook: to the web, a mailbox, a telephone, or a place in it. Undefined where it would lead nowhere, or where a book must not. */
export function hrefOf(href: string, { places, linksTo }: LinkRule): string | undefined {
  const full = safeHref(href)
  if (!full) return undefined
  if (full.startsWith('#')) return places.get(full.slice(1))
  if (!mayLead(full, linksTo)) return undefined
  return /^(https?:\/\/[^\r\n\t<>"]+|mailto:[^\s<>"]+|tel:[-+().;=\w]+)$/i.test(full) ? encoded(full) : undefined
}

/** Whether an outlet lets a link into its shop: one to another place in the web than it names is plain words there. */
function mayLead(full: string, linksTo: LinkRule['linksTo']): boolean {
  const [, host] = /^https?:\/\/(?:[^/?#@]*@)?([^/?#:]+)/i.exec(full) ?? []
  if (!linksTo || !host) return true
  const name = host.toLowerCase()
  return linksTo.some(own => name === own || name.endsWith(`.${own}`))
}

/** How many links of a text become plain words, since the outlet lets none in that lead there. */
export function linksLeftOut(sections: readonly Section[], linksTo: LinkRule['linksTo']): number {
  let left = 0
  const count = (href: unknown): void => {
    const full = typeof href === 'string' ? safeHref(href) : undefined
    if (full && !full.startsWith('#') && !mayLead(full, linksTo)) left++
  }
  const walk = ({ attrs, marks, content }: Linked): void => {
    count(attrs?.leads)
    for (const m of marks ?? []) if (m.type === 'link') count(m.attrs.href)
    content?.forEach(walk)
  }
  for (const s of sections) if (!s.made) walk(s.doc as Linked)
  return left
}

interface Linked {
  attrs?: Record<string, unknown>
  marks?: { type: string; attrs: { href: unknown } }[]
  content?: Linked[]
}

/** What no address may hold is encoded (RFC 3986, 2.1); what is encoded already stays. */
const encoded = (href: string): string =>
  href.replace(/%(?![0-9A-Fa-f]{2})|[^\x21-\x7e]|["<>\\^`{|}]/gu, c =>
    c === '%' ? '%25' : encodeURIComponent(/[\ud800-\udfff]/u.test(c) ? '\ufffd' : c),
  )
