import { readPieces } from '@/core/archive'
import type { Asset, CoverPiece } from '@/core/book'

/** Where copied pieces lie, for the covers of all books and all windows of this browser. */
const KEY = 'porchlight pieces of a cover'

/** Lays pieces aside, to be put on another cover. */
export function copyPieces(pieces: readonly CoverPiece[]): void {
  if (pieces.length) localStorage.setItem(KEY, JSON.stringify({ pieces }))
}

/** What was laid aside, as far as a cover can have it: pictures that are not of its book stay out, and are counted. */
export function copiedPieces(assets: readonly Asset[]): { pieces: CoverPiece[]; left: number } {
  const text = localStorage.getItem(KEY)
  const all = text ? readPieces(text) : []
  const known = new Set(assets.map(a => a.id))
  const pieces = all.filter(p => {
    const asset = pictureOf(p)
    return asset === undefined || known.has(asset)
  })
  return { pieces, left: all.length - pieces.length }
}

const pictureOf = (p: CoverPiece): string | undefined =>
  p.kind === 'picture' ? p.asset : p.kind === 'repeat' && p.of.kind === 'picture' ? p.of.asset : undefined
