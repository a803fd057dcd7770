import { type Cover, dressed, designKinds, drawCover, flatFor } from '@/core/cover'
import { shippedProfiles } from '@/core/outlets'
import { Fault } from '@/core/trade'
import type { FontShelf } from '@/core/type'

/** Bits of a name, always the same for the same one (FNV-1a). */
function bitsOf(name: string): number {
  let h = 2166136261
  for (const c of name) h = Math.imul(h ^ c.codePointAt(0)!, 16777619)
  return h >>> 0
}

/** The cover that a title of the simulated marketplace has: one of the shipped designs, in one of its palettes, by its name. */
export function marketCover(title: string, author: string, shelf: FontShelf): Promise<Cover> {
  const printer = shippedProfiles.find(p => p.print)
  if (!printer) throw new Fault('no-print', 'No outlet that ships prints.')
  const flat = flatFor(printer, {
    binding: 'paperback',
    trim: '6x9in',
    paper: printer.print!.papers[0]!.id,
    pages: 200,
  })
  const bits = bitsOf(title)
  const kind = designKinds[bits % designKinds.length]!
  const palette = kind.palettes[(bits >>> 8) % kind.palettes.length]!
  const data = {
    title,
    contributors: [{ name: author, role: 'aut' }],
    language: 'en',
    imprint: { name: author },
    subjects: [],
  }
  return drawCover(flat, dressed(kind, palette), data, { shelf })
}
