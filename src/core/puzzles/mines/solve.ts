import type { Proof } from '../puzzle'
import type { Mines } from './field'

/** Of a cell that shows no number. */
const NONE = 15

/**
 * Counts the ways to lay mines, cell by cell in the order of reading. All that the cells laid so far mean for the rest is how many
 * mines the numbers near the last ones still want: ways that leave the same wants go on alike, and are counted together.
 */
export function prove({ rows, cols, clues, mines }: Mines): Proof {
  // Along the shorter side there are fewer numbers near the last cells.
  const turned = cols > rows
  const [high, wide] = turned ? [cols, rows] : [rows, cols]
  const clueAt = (i: number): number => {
    if (i < 0 || i >= high * wide) return NONE
    const n = clues[turned ? (i % wide) * cols + Math.floor(i / wide) : i]!
    return n < 0 ? NONE : n
  }
  const sure = plainlySo(high, wide, clueAt)
  /** Cells after one, in the order of reading, that lie around another and may hold a mine. */
  const roomAfter = (laid: number, around: number): number =>
    nearIn(wide, around % wide)
      .map(k => around - wide - 1 + k)
      .filter(c => c > laid && c < high * wide && sure[c] !== 0).length
  /** Wants of the numbers from one row up and one to the left of the next cell, to one row down and one to the right; and in how many ways (2: two or more). */
  let ways = new Map<string, number>()
  ways.set(String.fromCharCode(...Array.from({ length: 2 * wide + 3 }, (_, k) => clueAt(k - wide - 1))), 1)
  for (let i = 0; i <= high * wide + wide; i++) {
    const next = new Map<string, number>()
    const coming = String.fromCharCode(clueAt(i + wide + 2))
    const near = i < high * wide ? nearIn(wide, i % wide) : []
    const mayHold = i < high * wide && sure[i] !== 0
    const mustHold = i < high * wide && sure[i] === 1
    // Cells that are still to be laid around each number near this one: it must not want more.
    const room = near.map(k => roomAfter(i, i - wide - 1 + k))
    const take = (wants: string, count: number): void => {
      // The first number is complete now: all cells around it were laid.
      const first = wants.charCodeAt(0)
      if (first !== 0 && first !== NONE) return
      for (const [n, k] of near.entries()) {
        const wanted = wants.charCodeAt(k)
        if (wanted !== NONE && wanted > room[n]!) return
      }
      const key = wants.slice(1) + coming
      next.set(key, Math.min(2, (next.get(key) ?? 0) + count))
    }
    for (const [wants, n] of ways) {
      if (!mustHold) take(wants, n)
      if (!mayHold) continue
      const codes = Array.from(wants, ch => ch.charCodeAt(0))
      if (near.some(k => codes[k] === 0)) continue
      for (const k of near) if (codes[k] !== NONE) codes[k]!--
      take(String.fromCharCode(...codes), n)
    }
    ways = next
  }
  const answers = Math.min(
    2,
    [...ways.values()].reduce((a, b) => a + b, 0),
  ) as Proof['answers']
  return { answers, agrees: answers === 1 && fits({ rows, cols, clues, mines }) }
}

/** Cells that single numbers settle: 1 mined, 0 clear, -1 open. Fewer are left to be laid both ways. */
function plainlySo(high: number, wide: number, clueAt: (cell: number) => number): Int8Array {
  const sure = Int8Array.from({ length: high * wide }, (_, cell) => (clueAt(cell) === NONE ? -1 : 0))
  for (let before = -1, after = 0; before !== after; before = after, after = sure.filter(s => s >= 0).length)
    for (let cell = 0; cell < sure.length; cell++) {
      if (clueAt(cell) === NONE) continue
      const near = nearIn(wide, cell % wide)
        .map(k => cell - wide - 1 + k)
        .filter(c => c >= 0 && c < sure.length)
      const open = near.filter(c => sure[c] === -1)
      const wants = near.reduce((n, c) => n - (sure[c] === 1 ? 1 : 0), clueAt(cell))
      if (wants === 0 || wants === open.length) for (const c of open) sure[c] = wants ? 1 : 0
    }
  return sure
}

/** Where the cells around the next one stand among the wants, by its column. */
function nearIn(wide: number, col: number): number[] {
  const out: number[] = []
  for (const dy of [-1, 0, 1])
    for (const dx of [-1, 0, 1]) {
      const x = col + dx
      if ((dy || dx) && x >= 0 && x < wide) out.push(wide + 1 + dy * wide + dx)
    }
  return out
}

/** Whether every number has its mines, and none lies under one. */
function fits({ rows, cols, clues, mines }: Mines): boolean {
  const lies = (y: number, x: number): number => (y < 0 || y >= rows || x < 0 || x >= cols ? 0 : mines[y * cols + x]!)
  return Array.from(clues).every((n, cell) => {
    if (n < 0) return true
    const [y, x] = [Math.floor(cell / cols), cell % cols]
    let count = 0
    for (const dy of [-1, 0, 1]) for (const dx of [-1, 0, 1]) count += lies(y + dy, x + dx)
    return count === n && !mines[cell]
  })
}
