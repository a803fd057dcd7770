import type { Proof } from '../puzzle'
import type { Loop } from './lattice'

/** A cell that says nothing. */
const FREE = 9

/** Where the line stands between the points that were decided and those that were not: a state of the count. */
interface Border {
  /** For each column, what comes down to it: nothing, a piece's first or last end; then the same for what comes from the left. */
  ends: string
  /** Sides that the cells above, or left below, of each column still want. */
  wants: number[]
  /** The ring is closed: nothing more may be drawn. */
  closed: boolean
  ways: number
}

/**
 * Counts the closed lines that say the numbers, point by point in the order of reading: what was drawn matters for the rest only by
 * which open ends belong together, and by what the last cells still want. Lines that leave the same go on alike, and are counted as one.
 */
export function prove(puzzle: Loop): Proof {
  const { rows, cols, clueAt } = upright(puzzle)
  const blank: Border = {
    ends: '.'.repeat(cols + 2),
    wants: new Array<number>(cols).fill(FREE),
    closed: false,
    ways: 1,
  }
  let borders = new Map<string, Border>([['', blank]])
  for (let r = 0; r <= rows; r++)
    for (let c = 0; c <= cols; c++) {
      const next = new Map<string, Border>()
      for (const border of borders.values())
        for (const drawn of goesOn(border, c, r < rows, c < cols)) {
          const wants = wanting(border.wants, clueAt(r, c), { c, cols, down: drawn.down, right: drawn.right })
          if (!wants) continue
          const key = `${drawn.ends}${drawn.closed ? '!' : ''}${wants.join('')}`
          const had = next.get(key)
          if (had) had.ways = Math.min(2, had.ways + border.ways)
          else next.set(key, { ends: drawn.ends, closed: drawn.closed, wants, ways: border.ways })
        }
      borders = next
    }
  const ways = [...borders.values()].reduce(
    (n, b) => n + (b.closed && b.wants.every(w => w === 0 || w === FREE) ? b.ways : 0),
    0,
  )
  const answers = Math.min(2, ways) as Proof['answers']
  return { answers, agrees: answers === 1 && isLoop(puzzle) }
}

/** The puzzle with its shorter side across: the border is as short as it can be. */
function upright({ rows, cols, clues }: Loop): { rows: number; cols: number; clueAt(r: number, c: number): number } {
  const turned = cols > rows
  const [high, wide] = turned ? [cols, rows] : [rows, cols]
  return {
    rows: high,
    cols: wide,
    clueAt: (r, c) => {
      if (r >= high || c >= wide) return FREE
      const clue = clues[turned ? c * cols + r : r * cols + c]!
      return clue < 0 ? FREE : clue
    },
  }
}

interface Drawn {
  ends: string
  down: boolean
  right: boolean
  closed: boolean
}

/** What the line can do at a point of a column, given what comes from above and from the left. */
function goesOn({ ends, closed }: Border, c: number, mayDown: boolean, mayRight: boolean): Drawn[] {
  const [left, above] = [ends[c]!, ends[c + 1]!]
  const put = (l: string, a: string, from = ends): string => from.slice(0, c) + l + a + from.slice(c + 2)
  // In the row of ends, what goes down stands where what came from the left stood, and what goes right behind it.
  const out: Drawn[] = []
  const none = left === '.' && above === '.'
  if (none) {
    out.push({ ends: put('.', '.'), down: false, right: false, closed })
    if (!closed && mayDown && mayRight) out.push({ ends: put('(', ')'), down: true, right: true, closed })
  } else if (left === '.' || above === '.') {
    const end = left === '.' ? above : left
    if (mayDown) out.push({ ends: put(end, '.'), down: true, right: false, closed })
    if (mayRight) out.push({ ends: put('.', end), down: false, right: true, closed })
  } else if (left === '(' && above === ')') {
    // Both ends of one piece: the ring closes, and must be all there is.
    const rest = put('.', '.')
    if (/^\.*$/.test(rest)) out.push({ ends: rest, down: false, right: false, closed: true })
  } else {
    const rest = put('.', '.')
    const now =
      left === above ? (left === '(' ? turned(rest, mate(ends, c + 1), '(') : turned(rest, mate(ends, c), ')')) : rest
    out.push({ ends: now, down: false, right: false, closed })
  }
  // At the end of a row the place for what comes from the left moves to the front.
  return ends.length === c + 2 ? out.map(d => ({ ...d, ends: `.${d.ends.slice(0, -1)}` })) : out
}

const turned = (ends: string, at: number, to: string): string => ends.slice(0, at) + to + ends.slice(at + 1)

/** Where the other end of a piece stands. */
function mate(ends: string, at: number): number {
  const step = ends[at] === '(' ? 1 : -1
  let depth = 0
  for (let i = at; ; i += step) {
    if (ends[i] === '.') continue
    depth += ends[i] === ends[at] ? 1 : -1
    if (!depth) return i
  }
}

interface Sides {
  c: number
  cols: number
  down: boolean
  right: boolean
}

/** What the cells want after a point is decided; nothing where one has too many sides or too few. */
function wanting(before: number[], clue: number, { c, cols, down, right }: Sides): number[] | undefined {
  const wants = before.slice()
  /** Takes sides from what a cell wants; whether it can still have what is left, in the sides that are to come. */
  const take = (at: number, sides: number, toCome: number): boolean => {
    if (at < 0 || wants[at] === FREE) return true
    wants[at]! -= sides
    return wants[at]! >= 0 && wants[at]! <= toCome
  }
  // The side to the right is the foot of the cell above it, which has all its sides then, and the head of the cell below.
  if (c < cols) {
    if (!take(c, right ? 1 : 0, 0)) return undefined
    wants[c] = clue
    if (!take(c, (right ? 1 : 0) + (down ? 1 : 0), 2)) return undefined
  }
  return take(c - 1, down ? 1 : 0, 1) ? wants : undefined
}

/** Whether what is drawn is one ring, and says the numbers. */
function isLoop({ rows, cols, clues, line }: Loop): boolean {
  const lying = (r: number, c: number): number => line[r * cols + c]!
  const standing = (r: number, c: number): number => line[(rows + 1) * cols + r * (cols + 1) + c]!
  const says = (r: number, c: number): boolean => {
    const clue = clues[r * cols + c]!
    return clue < 0 || clue === lying(r, c) + lying(r + 1, c) + standing(r, c) + standing(r, c + 1)
  }
  for (let r = 0; r < rows; r++) for (let c = 0; c < cols; c++) if (!says(r, c)) return false
  const from = (r: number, c: number): [number, number][] => [
    ...(c < cols && lying(r, c) ? [[r, c + 1] as [number, number]] : []),
    ...(c > 0 && lying(r, c - 1) ? [[r, c - 1] as [number, number]] : []),
    ...(r < rows && standing(r, c) ? [[r + 1, c] as [number, number]] : []),
    ...(r > 0 && standing(r - 1, c) ? [[r - 1, c] as [number, number]] : []),
  ]
  const points: [number, number][] = []
  for (let r = 0; r <= rows; r++) for (let c = 0; c <= cols; c++) if (from(r, c).length) points.push([r, c])
  if (!points.length || points.some(([r, c]) => from(r, c).length !== 2)) return false
  const reached = new Set([points[0]!.join()])
  const queue = [points[0]!]
  for (const [r, c] of queue)
    for (const to of from(r, c))
      if (!reached.has(to.join())) {
        reached.add(to.join())
        queue.push(to)
      }
  return reached.size === points.length
}
