import type { Understood } from '@/core/intake'

/** A manuscript that was read and waits for the author's word: it lives in this window only, until it becomes a book. */
export interface HeldManuscript {
  /** Tells it from those that wait beside it. */
  turn: number
  file: string
  read: Pick<Understood, 'book' | 'pictures' | 'dropped' | 'cleaned' | 'isbn'>
}

const waiting: HeldManuscript[] = []
let turns = 0
const listeners = new Set<() => void>()
const tell = (): void => listeners.forEach(l => l())

export const nextHeld = (): HeldManuscript | undefined => waiting[0]
export function holdManuscript(m: Omit<HeldManuscript, 'turn'>): void {
  waiting.push({ ...m, turn: ++turns })
  tell()
}
export function letGo(): void {
  waiting.shift()
  tell()
}
export function onHeld(l: () => void): () => void {
  listeners.add(l)
  return () => listeners.delete(l)
}
