import { bookTroubles, type Trouble } from '@/core/archive'
import type { OutletProfile } from '@/core/trade'

/** What is not in order in a book's record. A chunk of its own: it is wanted when a record has changed. */
export const recordTroubles = (record: unknown, known: readonly OutletProfile[], sound: readonly string[]): Trouble[] =>
  bookTroubles(record, known, sound)
