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

/** Runs that go on where the one before ends are one: programs write a line in parts. `page`: its width over its height. */
export function joinedRuns(runs: readonly WordsAt[], page: number): WordsAt[] {
  const out: WordsAt[] = []
  for (const run of runs) {
    const last = out.at(-1)
    const gap = last && goesOn(last, run, page)
    if (gap === undefined) out.push({ ...run })
    else {
      last!.words +=
        gap > SPACE && !last!.words.endsWith(' ') && !run.words.startsWith(' ') ? ` ${run.words}` : run.words
      last!.width += (gap * run.size) / page + run.width
    }
  }
  return out
}

/** A gap from here on is a space; one that is wider is no part of the same line. Ems. */
const SPACE = 0.15
const FAR = 1

/** How far from the end of a run another begins, ems; undefined where it does not go on with it. */
function goesOn(a: WordsAt, b: WordsAt, page: number): number | undefined {
  if ((a.turn ?? 0) !== (b.turn ?? 0) || Math.abs(a.size - b.size) > a.size * 0.05) return undefined
  const angle = ((a.turn ?? 0) * Math.PI) / 180
  // In parts of the page's height.
  const [dx, dy] = [(b.x - a.x) * page, b.baseline - a.baseline]
  const along = dx * Math.cos(angle) + dy * Math.sin(angle)
  const beside = dy * Math.cos(angle) - dx * Math.sin(angle)
  const gap = (along - a.width * page) / a.size
  return Math.abs(beside) < a.size * 0.1 && Math.abs(gap) < FAR ? gap : undefined
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
