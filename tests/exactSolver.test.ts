import { beforeAll, expect, test } from '@jest/globals'
import { mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { makePuzzles, puzzleKind } from '../src/core/puzzles'
import { cases } from './support/deep'
import { run } from './support/run'

/**
 * What `press puzzles` prints, told to an exact solver that is not ours (Debian's z3): each answer holds, and no other does. The rules
 * are written out here once more, from docs/formats.md and from what a person is told, for a program that knows none of our code.
 */

type Cell = readonly [row: number, col: number]
const all = (n: number): number[] => [...Array(n).keys()]
const cellsOf = (rows: number, cols: number): Cell[] => all(rows).flatMap(r => all(cols).map((c): Cell => [r, c]))
const name = (r: number, c: number): string => `x_${r}_${c}`
const exactly = (count: number, of: string[]): string =>
  of.length ? `((_ pbeq ${count} ${of.map(() => 1).join(' ')}) ${of.join(' ')})` : count ? 'false' : 'true'
const and = (of: string[]): string => (of.length ? `(and ${of.join(' ')})` : 'true')

/** A puzzle as its rules, and its answer as one statement. */
interface Told {
  rules: string[]
  answer: string
}

const numbers = (size: number): string[] =>
  cellsOf(size, size).flatMap(([r, c]) => [
    `(declare-const ${name(r, c)} Int)`,
    `(assert (and (<= 1 ${name(r, c)}) (<= ${name(r, c)} ${size})))`,
  ])
const different = (cells: Cell[]): string => `(assert (distinct ${cells.map(([r, c]) => name(r, c)).join(' ')}))`
const lines = (size: number): string[] => [
  ...all(size).map(r => different(all(size).map((c): Cell => [r, c]))),
  ...all(size).map(c => different(all(size).map((r): Cell => [r, c]))),
]
const given = (givens: number[][]): string[] =>
  givens.flatMap((row, r) => row.flatMap((v, c) => (v ? [`(assert (= ${name(r, c)} ${v}))`] : [])))
const filledIn = (solution: number[][]): string =>
  and(solution.flatMap((row, r) => row.map((v, c) => `(= ${name(r, c)} ${v})`)))

interface Square {
  size: number
  givens: number[][]
  solution: number[][]
}

function sudoku({ size, boxRows, boxCols, givens, solution }: Square & { boxRows: number; boxCols: number }): Told {
  const boxes = cellsOf(size / boxRows, size / boxCols).map(([y, x]) =>
    different(cellsOf(boxRows, boxCols).map(([r, c]): Cell => [y * boxRows + r, x * boxCols + c])),
  )
  return { rules: [...numbers(size), ...lines(size), ...boxes, ...given(givens)], answer: filledIn(solution) }
}

interface Sign {
  row: number
  col: number
  row2: number
  col2: number
}

function inequality({ size, givens, signs, solution }: Square & { signs: Sign[] }): Told {
  const less = signs.map(s => `(assert (< ${name(s.row, s.col)} ${name(s.row2, s.col2)}))`)
  return { rules: [...numbers(size), ...lines(size), ...less, ...given(givens)], answer: filledIn(solution) }
}

interface Sums {
  rows: number
  cols: number
  runs: { row: number; col: number; length: number; direction: 'across' | 'down'; sum: number }[]
  solution: number[][]
}

function kakuro({ rows, cols, runs, solution }: Sums): Told {
  const open = cellsOf(rows, cols).filter(([r, c]) => solution[r]![c])
  const rules = open.flatMap(([r, c]) => [
    `(declare-const ${name(r, c)} Int)`,
    `(assert (and (<= 1 ${name(r, c)}) (<= ${name(r, c)} 9)))`,
  ])
  for (const { row, col, length, direction, sum } of runs) {
    const cells = all(length).map((i): Cell => (direction === 'down' ? [row + i, col] : [row, col + i]))
    rules.push(different(cells), `(assert (= ${sum} (+ ${cells.map(([r, c]) => name(r, c)).join(' ')})))`)
  }
  return { rules, answer: and(open.map(([r, c]) => `(= ${name(r, c)} ${solution[r]![c]})`)) }
}

interface Field {
  rows: number
  cols: number
  clues: (number | '?')[][]
  mines: { row: number; col: number }[]
}

function mines({ rows, cols, clues, mines: laid }: Field): Told {
  const rules = cellsOf(rows, cols).map(([r, c]) => `(declare-const ${name(r, c)} Bool)`)
  for (const [r, c] of cellsOf(rows, cols)) {
    const clue = clues[r]![c]!
    if (clue === '?') continue
    const near = cellsOf(rows, cols).filter(
      ([y, x]) => (y !== r || x !== c) && Math.abs(y - r) < 2 && Math.abs(x - c) < 2,
    )
    rules.push(`(assert (not ${name(r, c)}))`)
    rules.push(
      `(assert ${exactly(
        clue,
        near.map(([y, x]) => name(y, x)),
      )})`,
    )
  }
  const isMine = new Set(laid.map(m => name(m.row, m.col)))
  const cells = cellsOf(rows, cols).map(([r, c]) => name(r, c))
  return { rules, answer: and(cells.map(x => (isMine.has(x) ? x : `(not ${x})`))) }
}

interface Picture {
  rowClues: number[][]
  colClues: number[][]
  solution: string[]
}

function pictureLogic({ rowClues, colClues, solution }: Picture): Told {
  const [rows, cols] = [rowClues.length, colClues.length]
  const rules = cellsOf(rows, cols).map(([r, c]) => `(declare-const ${name(r, c)} Bool)`)
  const line = (id: string, clue: number[], cells: string[]): void => {
    const starts = clue.map((_n, i) => `${id}_${i}`)
    starts.forEach((s, i) => {
      rules.push(`(declare-const ${s} Int)`, `(assert (and (<= 0 ${s}) (<= (+ ${s} ${clue[i]}) ${cells.length})))`)
      if (i) rules.push(`(assert (< (+ ${starts[i - 1]} ${clue[i - 1]}) ${s}))`)
    })
    cells.forEach((cell, k) => {
      const within = starts.map((s, i) => `(and (<= ${s} ${k}) (< ${k} (+ ${s} ${clue[i]})))`)
      rules.push(`(assert (= ${cell} (or false ${within.join(' ')})))`)
    })
  }
  rowClues.forEach((clue, r) =>
    line(
      `r${r}`,
      clue,
      all(cols).map(c => name(r, c)),
    ),
  )
  colClues.forEach((clue, c) =>
    line(
      `c${c}`,
      clue,
      all(rows).map(r => name(r, c)),
    ),
  )
  const answer = solution.flatMap((row, r) =>
    [...row].map((ch, c) => (ch === '#' ? name(r, c) : `(not ${name(r, c)})`)),
  )
  return { rules, answer: and(answer) }
}

interface Sheet {
  rows: number
  cols: number
  clues: (number | '?')[][]
  loop: [number, number][]
}

function loop({ rows, cols, clues, loop: walked }: Sheet): Told {
  const point = (r: number, c: number): string => `p_${r}_${c}`
  const side = (a: Cell, b: Cell): string => `s_${a.join('_')}_${b.join('_')}`
  const points = cellsOf(rows + 1, cols + 1)
  const sides = points.flatMap(([r, c]): [Cell, Cell][] => [
    ...(c < cols
      ? [
          [
            [r, c],
            [r, c + 1],
          ] as [Cell, Cell],
        ]
      : []),
    ...(r < rows
      ? [
          [
            [r, c],
            [r + 1, c],
          ] as [Cell, Cell],
        ]
      : []),
  ])
  const at = ([r, c]: Cell): [Cell, Cell][] => sides.filter(s => s.some(([y, x]) => y === r && x === c))
  const rules = sides.map(s => `(declare-const ${side(...s)} Bool)`)
  for (const p of points) rules.push(`(declare-const ${point(...p)} Int)`, `(declare-const root_${point(...p)} Bool)`)
  // Each point of the line but one has a neighbour along it that is nearer to that one: there is one ring.
  for (const p of points) {
    const id = point(...p)
    const own = at(p)
    const drawn = own.map(s => side(...s))
    rules.push(
      `(assert (or ${exactly(0, drawn)} ${exactly(2, drawn)}))`,
      `(assert (=> root_${id} ${exactly(2, drawn)}))`,
    )
    const nearer = own.map(([a, b]) => {
      const other = a === p || (a[0] === p[0] && a[1] === p[1]) ? b : a
      return `(and ${side(a, b)} (< ${point(...other)} ${id}))`
    })
    rules.push(`(assert (or root_${id} ${exactly(0, drawn)} ${nearer.join(' ')}))`)
  }
  rules.push(
    `(assert ${exactly(
      1,
      points.map(p => `root_${point(...p)}`),
    )})`,
  )
  for (const [r, c] of cellsOf(rows, cols)) {
    const clue = clues[r]![c]!
    if (clue === '?') continue
    const own: [Cell, Cell][] = [
      [
        [r, c],
        [r, c + 1],
      ],
      [
        [r, c],
        [r + 1, c],
      ],
      [
        [r + 1, c],
        [r + 1, c + 1],
      ],
      [
        [r, c + 1],
        [r + 1, c + 1],
      ],
    ]
    rules.push(
      `(assert ${exactly(
        clue,
        own.map(s => side(...s)),
      )})`,
    )
  }
  const taken = new Set(
    walked.map((p, i) => {
      const next = walked[(i + 1) % walked.length]!
      const [a, b] = [p, next].sort((m, n) => m[0] - n[0] || m[1] - n[1])
      return side(a!, b!)
    }),
  )
  return { rules, answer: and(sides.map(s => (taken.has(side(...s)) ? side(...s) : `(not ${side(...s)})`))) }
}

/** Islands: each cell is sea, or land of the island with a number; what hangs together counts the steps from where it begins. */
function nurikabe({
  rows,
  cols,
  islands,
  solution,
}: {
  rows: number
  cols: number
  islands: { row: number; col: number; size: number }[]
  solution: string[]
}): Told {
  const cells = cellsOf(rows, cols)
  const of = (what: string, r: number, c: number): string => `${what}_${r}_${c}`
  const near = (r: number, c: number): [number, number][] =>
    (
      [
        [r - 1, c],
        [r + 1, c],
        [r, c - 1],
        [r, c + 1],
      ] as [number, number][]
    ).filter(([y, x]) => y >= 0 && x >= 0 && y < rows && x < cols)
  const rules: string[] = []
  for (const [r, c] of cells) {
    const [island, step] = [of('island', r, c), of('step', r, c)]
    rules.push(`(declare-const ${island} Int)`, `(declare-const ${step} Int)`)
    rules.push(`(assert (and (<= 0 ${island} ${islands.length}) (<= 0 ${step} ${rows * cols})))`)
  }
  for (const [r, c] of cells) {
    const [island, step] = [of('island', r, c), of('step', r, c)]
    const around = near(r, c)
    // Land beside land is of one island; each cell but the first has one nearer to it beside it.
    for (const n of around)
      rules.push(`(assert (or (= 0 ${island}) (= 0 ${of('island', ...n)}) (= ${island} ${of('island', ...n)})))`)
    const nearer = around.map(n => `(and (= ${of('island', ...n)} ${island}) (< ${of('step', ...n)} ${step}))`)
    rules.push(`(assert (or (= 0 ${step}) ${nearer.join(' ')}))`)
  }
  for (let i = 0; i <= islands.length; i++) {
    const own = cells.map(([r, c]) => `(= ${i} ${of('island', r, c)})`)
    const first = cells.map(([r, c], k) => and([own[k]!, `(= 0 ${of('step', r, c)})`]))
    const size = i ? islands[i - 1]!.size : cells.length - islands.reduce((n, o) => n + o.size, 0)
    rules.push(`(assert ${exactly(size, own)})`, `(assert ${exactly(1, first)})`)
    if (i) rules.push(`(assert (= ${i} ${of('island', islands[i - 1]!.row, islands[i - 1]!.col)}))`)
  }
  for (let r = 0; r + 1 < rows; r++)
    for (let c = 0; c + 1 < cols; c++) {
      const square = [[r, c] as const, [r, c + 1] as const, [r + 1, c] as const, [r + 1, c + 1] as const]
      rules.push(`(assert (or ${square.map(s => `(< 0 ${of('island', ...s)})`).join(' ')}))`)
    }
  return {
    rules,
    answer: and(cells.map(([r, c]) => `(${solution[r]![c] === '#' ? '=' : '<'} 0 ${of('island', r, c)})`)),
  }
}

/** Kinds that an exact solver can be told, with values at which it is soon done. */
const told: [kind: string, tell: (record: never) => Told, params: object][] = [
  ['sudoku', sudoku, { size: '9', band: 'middling' }],
  ['sudoku', sudoku, { size: '6', band: 'easy' }],
  ['inequality', inequality, { size: '5', band: 'middling' }],
  ['inequality', inequality, { size: '6', band: 'easy' }],
  ['kakuro', kakuro, { rows: 8, cols: 8, band: 'middling' }],
  ['kakuro', kakuro, { rows: 7, cols: 7, band: 'hard' }],
  ['mines', mines, { rows: 10, cols: 12, share: 20, band: 'hard' }],
  ['picture-logic', pictureLogic, { rows: 10, cols: 12, band: 'middling' }],
  ['picture-logic', pictureLogic, { rows: 10, cols: 10, band: 'stubborn' }],
  ['loop', loop, { rows: 6, cols: 6, band: 'easy' }],
  ['nurikabe', nurikabe, { rows: 6, cols: 6, band: 'middling' }],
]

let folder: string
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'exact-'))
})

test.each(told)('%s %#: an exact solver finds the answer, and no other', async (id, tell, params) => {
  const kind = puzzleKind(id)!
  const { record } = await kind.work()
  const made = await makePuzzles(kind, { ...kind.plain, ...params }, { seed: 21, count: cases(3, 100) })
  const text = made.map(m => {
    const { rules, answer } = tell(JSON.parse(JSON.stringify(record(m.puzzle))) as never)
    const ask = (what: string): string => `(push)\n(assert ${what})\n(check-sat)\n(pop)\n`
    return `(push)\n${rules.join('\n')}\n${ask(answer)}${ask(`(not ${answer})`)}(pop)\n`
  })
  const file = join(folder, `${id}-${Object.values(params).join('-')}.smt2`)
  writeFileSync(file, text.join(''))
  const { out, err, code } = await run('z3', [file], { timeout: cases(80_000, 3_000_000) })
  expect({ err, code }).toEqual({ err: '', code: 0 })
  expect(out.trim().split('\n')).toEqual(made.flatMap(() => ['sat', 'unsat']))
})
