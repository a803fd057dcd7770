import type { Paragraph } from '../type'

/** Characters of a text that its typeface does not have. */
export interface Lack {
  text: string
  section: string
  block: string
  /** The family that lends them; none where no font has them, and an empty box is printed. */
  from?: string
}

/** Says what the face lacks for a text. */
export function reportLacks(
  p: Paragraph,
  to: { lacks: (lack: Lack) => void },
  { section, block }: { section: string; block: string },
): void {
  for (const text of p.missing) to.lacks({ text, section, block })
  for (const { text, from } of p.borrowed) to.lacks({ text, section, block, from: from.familyName })
}

/** The families that lend, in the order in which they do so first, each with its characters. */
export function lendersOf(borrowed: Pick<Required<Lack>, 'text' | 'from'>[]): { from: string; characters: string[] }[] {
  const by = new Map<string, Set<string>>()
  for (const { text, from } of borrowed) {
    const characters = by.get(from) ?? new Set<string>()
    by.set(from, characters)
    for (const c of text) if (c.trim()) characters.add(c)
  }
  return [...by].map(([from, characters]) => ({ from, characters: [...characters] }))
}
