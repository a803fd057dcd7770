import type { Understood } from '@/core/intake'

/** A manuscript that was read and waits for the author's word: it lives in this window only, until it becomes a book. */
export interface HeldManuscript {
  file: string
  read: Pick<Understood, 'book' | 'pictures' | 'dropped' | 'cleaned' | 'isbn'>
}

const waiting: HeldManuscript[] = []
const listeners = new Set<() => void>()
const tell = (): void => listeners.forEach(l => l())

export const nextHeld = (): HeldManuscript | undefined => waiting[0]
export function holdManuscript(m: HeldManuscript): void {
  waiting.push(m)
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
