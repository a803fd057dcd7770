import { performance } from 'node:perf_hooks'
import { fitted, kindOf, type Recipe, RunPress, shippedRecipes, withRecipe } from '@/core/activity'
import { type Book, createBook, type PagePlan, type Run } from '@/core/book'
import { harbourRoman, type Interior, Setter, withPlan } from '@/core/pages'
import { pdfBytes } from '@/core/pdf'
import { FontShelf } from '@/core/type'
import { fontSource, nodePdf } from '@/cli/ports'

/** Sets planned books as budgets name them, cold, and writes them as PDF; prints what each took as a line of JSON. One process a book. */
const run = (kind: string, pages: number, params: object = {}): Run => ({
  id: kind,
  kind,
  pages,
  seed: 3,
  heading: { words: kindOf(kind)!.name, from: 1 },
  params: { ...structuredClone(kindOf(kind)!.plain), ...params },
})
const recipe = (id: string): Recipe => shippedRecipes.find(r => r.id === id)!
const byRecipe = (id: string): PagePlan => withRecipe({ runs: [] }, recipe(id), { seed: 3 })

const wanted: Record<string, { says: string; plan: () => PagePlan; budgetMs: number; pdfMs: number }> = {
  activity: {
    says: 'an activity book from its recipe, 118 pages',
    plan: () => byRecipe('large-word-search'),
    budgetMs: 3000,
    pdfMs: 1000,
  },
  medley: {
    says: 'a medley of ten kinds, rules and answers',
    plan: () => byRecipe('slow-afternoons'),
    budgetMs: 3000,
    pdfMs: 1000,
  },
  days: {
    says: '365 dated pages',
    plan: () => fitted({ runs: [run('day', 365, { count: 365 })] }),
    budgetMs: 1500,
    pdfMs: 3000,
  },
  five: {
    says: '500 pages of logs, dots and puzzles on grounds',
    plan: () => ({
      folios: 'outside',
      look: 'chart-table',
      runs: [
        run('log', 150),
        { ...run('dot', 150), ground: { tone: 0.1, patterns: ['honeycomb', 'waves'], clear: true } },
        run('word-search', 200),
      ],
    }),
    budgetMs: 3000,
    pdfMs: 3000,
  },
}

const { says, plan: planOf, budgetMs, pdfMs } = wanted[process.argv[2] ?? 'activity']!
const lap = async <T>(work: () => Promise<T>): Promise<[T, number]> => {
  const start = performance.now()
  const value = await work()
  return [value, performance.now() - start]
}
const shelf = new FontShelf(fontSource)
const data = { title: 'Measured', contributors: [], language: 'en-GB', imprint: { name: '' }, subjects: [] }

const [interior, ms] = await lap(async (): Promise<Interior> => {
  const book: Book = { ...createBook('measured', data), plan: planOf() }
  const spec = { width: 612, height: 792, inside: 0, bleed: 9, planned: book.plan!.runs }
  const front = await new Setter(shelf).set(book, harbourRoman, spec)
  return withPlan(front, book, book.plan!, {
    inside: 45,
    safe: 18,
    safeWithBleed: 27,
    runs: new RunPress(shelf),
    shelf,
  })
})
const ports = await nodePdf({ bytes: async () => undefined, decode: () => Promise.reject(new Error('no pictures')) })
const options = { title: 'Measured', language: 'en-GB', date: '2026-01-01T00:00:00Z', grey: true }
const [pdf, fileMs] = await lap(() => pdfBytes(interior.pages, options, ports))
process.stdout.write(
  JSON.stringify({
    says,
    pages: interior.pages.length,
    ms,
    budgetMs,
    pdfMs: fileMs,
    pdfBudgetMs: pdfMs,
    pdfBytes: pdf.length,
    memoryMb: process.resourceUsage().maxRSS / 1024,
    unmade: interior.unmade.length,
  }) + '\n',
)
