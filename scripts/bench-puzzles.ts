import { performance } from 'node:perf_hooks'
import { makePuzzles, puzzleKind } from '@/core/puzzles'

/** Makes puzzles as budgets name them; prints what each took, as JSON lines. One process, one core. */
const wanted: { name: string; kind: string; params: object; count: number; budgetMs: number }[] = [
  { name: 'word searches 15 by 15, 15 words', kind: 'word-search', params: {}, count: 500, budgetMs: 1500 },
  {
    name: 'word searches in silhouettes 30 by 30, 40 words',
    kind: 'word-search',
    params: { rows: 30, cols: 30, count: 40, outline: 'turn' },
    count: 50,
    budgetMs: 2000,
  },
  {
    name: 'woven crosswords, 20 words',
    kind: 'crossword',
    params: { count: 20, side: 18 },
    count: 100,
    budgetMs: 3000,
  },
  { name: 'lattices 13 by 13', kind: 'lattice-crossword', params: {}, count: 20, budgetMs: 20000 },
  {
    name: 'lattices 13 by 13, all letters crossed',
    kind: 'lattice-crossword',
    params: { crossing: 'all' },
    count: 20,
    budgetMs: 20000,
  },
  { name: 'codewords 13 by 13', kind: 'codeword', params: {}, count: 100, budgetMs: 20000 },
  { name: 'sudoku 9, middling', kind: 'sudoku', params: { size: '9', band: 'middling' }, count: 500, budgetMs: 3000 },
  { name: 'sudoku 9, stubborn', kind: 'sudoku', params: { size: '9', band: 'stubborn' }, count: 100, budgetMs: 5000 },
  {
    name: 'mazes of 40 by 40',
    kind: 'maze',
    params: { size: 'square', ends: 'long', band: 'middling' },
    count: 500,
    budgetMs: 1000,
  },
  { name: 'sudoku 16, middling', kind: 'sudoku', params: { size: '16', band: 'middling' }, count: 20, budgetMs: 10000 },
  {
    name: 'mines 12 by 12, middling',
    kind: 'mines',
    params: { rows: 12, cols: 12, share: 20, band: 'middling' },
    count: 200,
    budgetMs: 4000,
  },
  {
    name: 'picture logic 15 by 15, middling',
    kind: 'picture-logic',
    params: { rows: 15, cols: 15, band: 'middling' },
    count: 200,
    budgetMs: 3000,
  },
  {
    name: 'loops 10 by 10, middling',
    kind: 'loop',
    params: { rows: 10, cols: 10, band: 'middling' },
    count: 100,
    budgetMs: 5000,
  },
  {
    name: 'kakuro 8 by 8, middling',
    kind: 'kakuro',
    params: { rows: 8, cols: 8, band: 'middling' },
    count: 200,
    budgetMs: 5000,
  },
  {
    name: 'nurikabe 8 by 8, middling',
    kind: 'nurikabe',
    params: { rows: 8, cols: 8, band: 'middling' },
    count: 100,
    budgetMs: 10000,
  },
]
for (const { name, kind, params, count, budgetMs } of wanted) {
  const start = performance.now()
  const of = puzzleKind(kind)!
  await makePuzzles(of, { ...of.plain, ...params }, { seed: 7, count })
  process.stdout.write(`${JSON.stringify({ name, count, budgetMs, ms: performance.now() - start })}\n`)
}
