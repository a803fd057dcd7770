/** Words of a page and where they stand, in parts of its width and its height. */
export interface WordsAt {
  words: string
  x: number
  baseline: number
  width: number
  /** Of its height. */
  size: number
  /** Degrees that they are turned by about their beginning, clockwise as seen; upright where absent. */
  turn?: number
}

/** What a reader of PDFs tells of a page: pieces of text, each under its own matrix, and the page's own. */
interface PageText {
  items: readonly object[]
  /** To points from the page's top left, y down. */
  transform: readonly number[]
  width: number
  height: number
}

interface Piece {
  str: string
  transform: number[]
  width: number
}

/** The words of a page that was made elsewhere, in the order of its file. Marks between pieces of text say nothing here. */
export function wordsOfPage({ items, transform: t, width, height }: PageText): WordsAt[] {
  return (items as Partial<Piece>[]).filter(isSaid).map(({ str, transform: [a, b, c, d, e, f], width: long }) => {
    // Along the line, as it is seen.
    const turn = Math.round((Math.atan2(t[1]! * a! + t[3]! * b!, t[0]! * a! + t[2]! * b!) * 1800) / Math.PI) / 10
    return {
      words: str,
      x: (t[0]! * e! + t[2]! * f! + t[4]!) / width,
      baseline: (t[1]! * e! + t[3]! * f! + t[5]!) / height,
      width: long / width,
      size: Math.hypot(c!, d!) / height,
      ...(turn ? { turn } : {}),
    }
  })
}

const isSaid = (piece: Partial<Piece>): piece is Piece => !!piece.str?.trim() && !!piece.transform
