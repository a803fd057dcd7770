import type { Slip } from '@/core/copies'
import type { Returned } from '../returned'
import type { ReadingReturned } from './readReturned'

/** Reads a word-processor file that has come back; what reads it is loaded when one does. */
export const readReturnedDocx = async (bytes: Uint8Array, of: ReadingReturned): Promise<Returned> =>
  (await import('./readReturned')).readReturnedDocx(bytes, of)

/** Whose text a word-processor file holds, where it says so. */
export const slipIn = async (bytes: Uint8Array): Promise<Slip | undefined> => (await import('./slipIn')).slipIn(bytes)
