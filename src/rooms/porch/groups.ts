import type { Entry } from './useEntries'

/** Books that stand together. */
export interface Group {
  name: string
  sort: string
  entries: Entry[]
}

/** Books by series, then by imprint; those that match the search. */
export function groupsOf(entries: Entry[], query: string): Group[] {
  const q = query.trim().toLowerCase()
  const groups = new Map<string, Group>()
  for (const e of entries) {
    if (q && ![e.title, e.subtitle, e.author, e.series?.name, e.imprint].some(t => t?.toLowerCase().includes(q)))
      continue
    const name = e.series?.name ?? (e.imprint || 'Without an imprint')
    const g = groups.get(name) ?? {
      name,
      sort: e.series ? `series${e.author ? `, ${e.author}` : ''}` : '',
      entries: [],
    }
    g.entries.push(e)
    groups.set(name, g)
  }
  for (const g of groups.values())
    g.entries.sort((a, b) => (a.series?.number ?? 0) - (b.series?.number ?? 0) || (a.title < b.title ? -1 : 1))
  return [...groups.values()].sort((a, b) => Number(!a.sort) - Number(!b.sort) || (a.name < b.name ? -1 : 1))
}
