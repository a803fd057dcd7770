import type { Understood } from '@/core/intake'

/** A manuscript that was read and waits for the author's word: it lives in this window only, until it becomes a book. */
export interface HeldManuscript {
  /** Tells it from those that wait beside it. */
  turn: number
  file: string
  read: Pick<Understood, 'book' | 'pictures' | 'dropped' | 'cleaned' | 'isbn'> &
    Partial<Pick<Understood, 'candidates' | 'levels' | 'dirt' | 'asTyped'>>
}

/** Files that came together and are not read yet: one book, or a book each. */
export interface HeldFiles {
  turn: number
  files: File[]
}

export type Held = HeldManuscript | HeldFiles
type Fresh = Omit<HeldManuscript, 'turn'> | Omit<HeldFiles, 'turn'>

const waiting: Held[] = []
let turns = 0
const listeners = new Set<() => void>()
const tell = (): void => listeners.forEach(l => l())
const turned = (held: Fresh): Held => ({ ...held, turn: ++turns })

export const nextHeld = (): Held | undefined => waiting[0]
export function hold(held: Fresh): void {
  waiting.push(turned(held))
  tell()
}
/** What waits first has become something else: files that were read, a manuscript each or one of all. */
export function holdInstead(held: Fresh[]): void {
  waiting.splice(0, 1, ...held.map(turned))
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
