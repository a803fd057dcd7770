import type { Book, Edition } from '@/core/book'
import type { Leaves } from '@/core/chain'
import type { OpenBook } from '@/parts/openBook'

/** A book whose pages are set. */
export type SetBook = OpenBook & { book: Book; edition: Edition; leaves: Leaves }
