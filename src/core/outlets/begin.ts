import type { Edition, EditionKind } from '../book'
import type { OutletProfile } from '../trade'

/** What most editions begin with, where an outlet has it. */
const USUAL = { trim: '6x9in', papers: { text: 'cream', pages: 'white' }, style: 'harbour-roman' }

/** Whether an outlet sells or binds this kind of edition. */
export const takesKind = (profile: OutletProfile, kind: EditionKind): boolean =>
  kind === 'ebook' ? !!profile.ebook : !!profile.print?.bindings.some(b => b.kind === kind)

/** What an edition begins beside. */
export interface Beginning {
  /** Planned pages are written on: their paper is white. */
  of?: 'text' | 'pages'
  /** The trim of the edition beside it. */
  trim?: string
}

/** The edition that a book begins with in this kind: at the first printer that binds it; an ebook at all outlets that are shops for it themselves. */
export function firstEdition(
  kind: EditionKind,
  known: readonly OutletProfile[],
  { of = 'text', trim: like }: Beginning = {},
): Edition {
  const base = { id: kind, kind, style: USUAL.style }
  if (kind === 'ebook')
    // A distributor reaches shops that are outlets of their own here: taking both from the start would be double.
    return {
      ...base,
      outlets: known.filter(p => p.ebook && !p.reach?.shops.some(s => isKnown(s, known))).map(p => p.id),
    }
  const printer = known.find(p => takesKind(p, kind))
  const has = (wish: string | undefined, offered: string[]): string | undefined =>
    wish !== undefined && offered.includes(wish) ? wish : undefined
  const trims = printer?.print?.bindings.find(b => b.kind === kind)?.trims ?? [USUAL.trim]
  const papers = printer?.print?.papers.map(p => p.id) ?? []
  return {
    ...base,
    trim: has(like, trims) ?? has(USUAL.trim, trims) ?? trims[0]!,
    ...(papers.length ? { paper: has(USUAL.papers[of], papers) ?? papers[0]! } : {}),
    ink: 'black',
    outlets: printer ? [printer.id] : [],
  }
}

const isKnown = (shop: string, known: readonly OutletProfile[]): boolean => known.some(p => p.name === shop)

/** The editions a new book begins with: a paperback, and an ebook where it is of text. */
export const firstEditions = (of: 'text' | 'pages', known: readonly OutletProfile[]): Edition[] => [
  firstEdition('paperback', known, { of }),
  ...(of === 'text' ? [firstEdition('ebook', known)] : []),
]
