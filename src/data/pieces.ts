import { db } from './db'
import type { PieceRecord } from './records'
import { guarded } from './trouble'

/** Keeps words that found no place in their section, beside it. */
export const keepPieces = (book: string, section: string, texts: string[]): Promise<void> =>
  guarded(async () => {
    const list = texts.filter(t => t.trim())
    if (list.length) await db.pieces.bulkAdd(list.map(text => ({ book, section, at: Date.now(), text })))
  })

export const piecesOf = (book: string): Promise<PieceRecord[]> => db.pieces.where('book').equals(book).toArray()

/** Lets a piece go: it was put in its place, or is not wanted. */
export const letPieceGo = (id: number): Promise<void> => guarded(() => db.pieces.delete(id))
