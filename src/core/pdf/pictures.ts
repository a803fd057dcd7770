/** A picture on a page, and how fine it is there. */
export interface PictureAt {
  /** Pixels an inch as printed, the lesser of its two ways. */
  ppi: number
  /** In parts of the page's width and height, from its top left. */
  x: number
  y: number
  width: number
  height: number
}

/** What a reader of PDFs tells of how a page is drawn: steps by number, what each is called, and the page's own matrix to points, y down. */
export interface PageSteps {
  fnArray: readonly number[]
  argsArray: readonly unknown[]
  names: Readonly<Record<string, number>>
  transform: readonly number[]
  width: number
  height: number
}

/** [a b c d e f] */
type Matrix = readonly number[]
const onto = ([a, b, c, d, e, f]: Matrix, [p, q, r, s, t, u]: Matrix): Matrix => [
  a! * p! + c! * q!,
  b! * p! + d! * q!,
  a! * r! + c! * s!,
  b! * r! + d! * s!,
  a! * t! + c! * u! + e!,
  b! * t! + d! * u! + f!,
]

interface Sized {
  width: number
  height: number
}

/** The pictures of a page in the order in which they are drawn. */
export function picturesOfPage({ fnArray, argsArray, names, ...page }: PageSteps): PictureAt[] {
  const out: PictureAt[] = []
  const kept: Matrix[] = []
  let at: Matrix = page.transform
  const step: Readonly<Record<number, (args: unknown[]) => void>> = {
    [names.save!]: () => void kept.push(at),
    [names.restore!]: () => void (at = kept.pop() ?? at),
    [names.transform!]: args => void (at = onto(at, args as number[])),
    [names.paintFormXObjectBegin!]: ([matrix]) => {
      kept.push(at)
      if (matrix) at = onto(at, matrix as number[])
    },
    [names.paintFormXObjectEnd!]: () => void (at = kept.pop() ?? at),
    [names.paintImageXObject!]: ([, width, height]) => void out.push(placed(at, { width, height } as Sized, page)),
    [names.paintInlineImageXObject!]: ([image]) => void out.push(placed(at, image as Sized, page)),
  }
  fnArray.forEach((fn, i) => step[fn]?.((argsArray[i] ?? []) as unknown[]))
  return out
}

function placed([a, b, c, d, e, f]: Matrix, { width, height }: Sized, page: Sized): PictureAt {
  const xs = [e!, e! + a!, e! + c!, e! + a! + c!]
  const ys = [f!, f! + b!, f! + d!, f! + b! + d!]
  const [x, y] = [Math.min(...xs), Math.min(...ys)]
  return {
    ppi: 72 * Math.min(width / Math.hypot(a!, b!), height / Math.hypot(c!, d!)),
    x: x / page.width,
    y: y / page.height,
    width: (Math.max(...xs) - x) / page.width,
    height: (Math.max(...ys) - y) / page.height,
  }
}
