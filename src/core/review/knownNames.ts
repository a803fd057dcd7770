import { type Book, renameIds, type Section } from '@/core/book'
import { bare } from './merge/layout'
import type { Returned } from './returned'

/** What is the book’s and what earlier returns brought: what comes once more is known by its name there. */
export interface Known {
  sent: Book
  others: readonly Book[]
}

/** The return, in which what came already bears the name that it was given then: it is asked once. */
export function withKnownNames(returned: Returned, { sent, others }: Known): Returned {
  const went = new Set(sent.sections.flatMap(s => [s.id, ...s.doc.content.map(b => b.attrs.id)]))
  const waiting = new Map<string, string[]>()
  const remember = (says: string, id: string): void => {
    if (!went.has(id)) waiting.set(says, [...(waiting.get(says) ?? []), id])
  }
  for (const s of others.flatMap(b => b.sections.filter(x => !x.made))) {
    remember(sayingOf(s), s.id)
    for (const b of s.doc.content) remember(bare(b), b.attrs.id)
  }
  const names = new Map<string, string>()
  const taken = new Set(returned.sections.flatMap(s => [s.id, ...s.doc.content.map(b => b.attrs.id)]))
  const name = (says: string, id: string): void => {
    const known = went.has(id) ? undefined : waiting.get(says)?.find(k => !taken.has(k))
    if (known === undefined) return
    taken.add(known)
    names.set(id, known)
  }
  for (const s of returned.sections) {
    name(sayingOf(s), s.id)
    for (const b of s.doc.content) name(bare(b), b.attrs.id)
  }
  if (!names.size) return returned
  const sections = returned.sections.map((s): Section => ({
    ...s,
    id: names.get(s.id) ?? s.id,
    doc: renameIds(s.doc, id => names.get(id)),
  }))
  const told = Object.fromEntries(Object.entries(returned.told).map(([id, t]) => [names.get(id) ?? id, t]))
  return { ...returned, sections, told }
}

/** A section that came is known by its title and all that it says. */
const sayingOf = (s: Section): string => JSON.stringify([s.title, ...s.doc.content.map(bare)])
