/** A small seeded generator (mulberry32): the simulated marketplace is the same on every machine. */
export function seeded(seed: number): () => number {
  let a = seed >>> 0
  return () => {
    a = (a + 0x6d2b79f5) >>> 0
    let t = a
    t = Math.imul(t ^ (t >>> 15), t | 1)
    t ^= t + Math.imul(t ^ (t >>> 7), t | 61)
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
}

/** A seed from a text (FNV-1a). */
export function seedOf(text: string): number {
  let h = 0x811c9dc5
  for (let i = 0; i < text.length; i++) h = Math.imul(h ^ text.charCodeAt(i), 0x01000193)
  return h >>> 0
}

/** Puts a list into an order by chance, in place (Fisher and Yates). */
export function shuffled<T>(list: T[], chance: () => number): T[] {
  for (let i = list.length - 1; i > 0; i--) {
    const k = Math.floor(chance() * (i + 1))
    ;[list[i], list[k]] = [list[k]!, list[i]!]
  }
  return list
}
