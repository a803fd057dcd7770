import type { PagePlan, Run } from '../../book'
import { fitted } from '../referred'
import { kindOf } from '../registry'
import type { Recipe, RecipeSection } from './recipe'

/** What a run of a recipe says beside its kind and its pages. */
type Said = Partial<Omit<Run, 'id' | 'kind' | 'pages' | 'params'>> & { id?: string; params?: object }

/** A run of a kind: its values as a new one begins, but for those that are said. */
const run = (kind: string, pages: number, { params, ...said }: Said = {}): Run => ({
  id: kind,
  kind,
  pages,
  seed: 1,
  params: { ...structuredClone(kindOf(kind)!.plain), ...params },
  ...said,
})

/** Puzzles of a kind with a number each, their rules before them and their answers at the end. */
const puzzles = (kind: string, pages: number, said: Said = {}): Run =>
  run(kind, pages, { heading: { words: kindOf(kind)!.name, from: 1 }, ...said })
const rules = (of: string): Run =>
  run('how-to', 1, {
    id: `rules-${of}`,
    heading: { words: `How to solve: ${kindOf(of.split('/')[0]!)!.name}` },
    params: { of },
  })
const answers = (of: string, count = '6'): Run =>
  run('answers', 1, { id: `answers-${of}`, heading: { words: 'Answers' }, params: { of, count } })

/** What is written before and behind puzzles, and before and behind pages that are filled in. */
const AROUND_PUZZLES: RecipeSection[] = [
  {
    role: 'foreword',
    title: 'Welcome',
    words: [
      'Find a chair that suits you and a pencil that is soft. There is no clock in this book: take its pages in any order, and leave any of them half done.',
      'How a puzzle goes is told before the first of its kind. Each has its answer at the end; if you look there before you are done, nobody will hear of it.',
    ],
  },
  {
    role: 'afterword',
    title: 'Until next time',
    words: [
      'That was the last page. If you have come here by way of all the others, you have earned a walk in the fresh air.',
      'If this book did you good, give it on to somebody who likes a quiet afternoon: there is room for a second pencil.',
    ],
  },
]
const AROUND_PAGES: RecipeSection[] = [
  {
    role: 'foreword',
    title: 'Before you begin',
    words: [
      'This book is finished by whoever holds the pen. Begin on any day and on any page, skip what is of no use to you, and write over the edges where you must.',
      'A line on most days comes to more than a page on a few.',
    ],
  },
  {
    role: 'afterword',
    title: 'When it is full',
    words: [
      'Turn back to the first page, and read it as if somebody else had written it. Then choose what you would keep, and begin the next book with that.',
    ],
  },
]

/** Leaves so wide, inches, want larger letters and wider margins for what is read. */
const LARGE_LEAF = 7.5
const MEASURE = { 'margins.inside': 1.3, 'margins.outside': 1.3, 'margins.head': 1 }
const ON_LARGE_LEAF = { 'text.size': 14, 'text.leading': 20, ...MEASURE }
const IN_LARGE_PRINT = { 'text.size': 18, 'text.leading': 25, ...MEASURE }

const recipe = (id: string, name: string, says: string, trim: string, plan: PagePlan): Recipe => ({
  id,
  name,
  says,
  trim,
  sections: plan.runs.some(r => kindOf(r.kind)?.answers) ? AROUND_PUZZLES : AROUND_PAGES,
  ...(Number.parseFloat(trim) >= LARGE_LEAF && { style: plan.large ? IN_LARGE_PRINT : ON_LARGE_LEAF }),
  plan: fitted(plan),
})

const MARGINS = { head: 42, foot: 46, inside: 54, outside: 42 }

/** A medley: rules, puzzles of each kind, then all answers. */
function medley(of: readonly (readonly [kind: string, pages: number, said?: Said])[]): Run[] {
  return [
    ...of.flatMap(([kind, pages, said]) => [rules(kind), puzzles(kind, pages, said)]),
    ...of.map(([kind]) => answers(kind)),
  ]
}

/** Whole books in one step; a recipe asks for a title, and for words or a first day where it uses them. */
export const shippedRecipes: readonly Recipe[] = [
  recipe(
    'large-word-search',
    'Word search in large print',
    '120 pages, letters that are read without glasses',
    '8.5x11in',
    {
      look: 'counting-house',
      folios: 'outside',
      references: true,
      large: true,
      wished: 120,
      margins: MARGINS,
      runs: [
        rules('word-search'),
        puzzles('word-search', 90, {
          params: { words: { bank: 'all', text: '' }, rows: 13, cols: 13, count: 12, deal: 'again', band: 'gentle' },
        }),
        answers('word-search', '4'),
      ],
    },
  ),
  recipe('slow-afternoons', 'A medley of ten kinds', 'puzzles of ten kinds, rules and answers', '8x10in', {
    look: 'lane-end',
    folios: 'outside',
    references: true,
    margins: MARGINS,
    runs: medley([
      ['word-search', 12, { params: { deal: 'again' } }],
      ['sudoku', 12, { each: 2 }],
      ['maze', 8],
      ['codeword', 8],
      ['picture-logic', 8],
      ['word-scramble', 6],
      ['loop', 6],
      ['kakuro', 6],
      ['word-ladder', 6],
      ['number-search', 6],
    ]),
  }),
  recipe('three-bands', 'Sudoku, gentle to hard', '300 grids in three bands, two a page', '6x9in', {
    look: 'counting-house',
    folios: 'outside',
    references: true,
    margins: { head: 40, foot: 44, inside: 50, outside: 38 },
    runs: [
      rules('sudoku/gentle'),
      ...(['gentle', 'middling', 'hard'] as const).map((band, i) =>
        puzzles('sudoku', 50, {
          id: `sudoku/${band}`,
          each: 2,
          heading: { words: { gentle: 'Gentle', middling: 'Middling', hard: 'Hard' }[band], from: 1 + 100 * i },
          params: { band },
        }),
      ),
      ...(['gentle', 'middling', 'hard'] as const).map(band => answers(`sudoku/${band}`, '12')),
    ],
  }),
  recipe('mazes', 'Mazes of many shapes', 'one to a leaf, answers at the end', '8.5x11in', {
    look: 'nursery',
    folios: 'outside',
    margins: MARGINS,
    runs: [rules('maze'), puzzles('maze', 40, { backs: {} }), answers('maze', '9')],
  }),
  recipe('weeks-dated', 'A dated weekly planner', 'a year of weeks on spreads, months before them', '6x9in', {
    look: 'reading-room',
    folios: 'none',
    margins: { head: 36, foot: 36, inside: 48, outside: 34 },
    runs: [
      run('year', 1),
      run('month', 12, { params: { from: '2027-01-01', count: 12 } }),
      run('week', 104, { params: { count: 53 } }),
      run('lined', 12, { heading: { words: 'Notes' } }),
    ],
  }),
  recipe('days-dated', 'A page a day', 'a year of days with their hours', '6x9in', {
    look: 'chart-table',
    folios: 'none',
    margins: { head: 36, foot: 36, inside: 52, outside: 34 },
    runs: [run('year', 1), run('day', 365, { params: { count: 365 } })],
  }),
  recipe('any-week', 'A planner for any year', 'undated weeks, months and lists', '7x10in', {
    look: 'lane-end',
    folios: 'outside',
    runs: [
      run('month', 12, { params: { count: 12, dated: 'undated' } }),
      run('week', 52, { params: { count: 52, dated: 'undated', on: 'page' } }),
      run('checklist', 16, { heading: { words: 'Lists' } }),
    ],
  }),
  recipe('year-of-habits', 'Habits, moods and money', 'trackers for twelve months', '6x9in', {
    look: 'lamp-room',
    folios: 'outside',
    runs: [
      run('year', 1, { params: { shows: 'squares', dated: 'undated' }, heading: { words: 'A year of moods' } }),
      run('tracker', 12, {
        heading: { words: 'A month of days' },
        params: { count: 31, shape: 'comb', key: 6 },
      }),
      run('habits', 12, { heading: { words: 'Habits' } }),
      run('budget', 24, { heading: { words: 'Money' } }),
      run('lined', 20, { heading: { words: 'What went well' } }),
    ],
  }),
  recipe('kitchen-book', 'A kitchen book', '90 recipes to write down, with an index', '7x10in', {
    look: 'lane-end',
    folios: 'outside',
    runs: [
      run('index-pages', 4, { heading: { words: 'Index' } }),
      run('recipe', 90, { heading: { words: 'Recipe', from: 1 } }),
    ],
  }),
  recipe('reading-diary', 'A reading diary', 'a hundred books, and a list of those to come', '5.5x8.5in', {
    look: 'reading-room',
    folios: 'outside',
    runs: [
      run('tracker', 1, { heading: { words: 'Read' } }),
      run('checklist', 6, { heading: { words: 'To be read' } }),
      run('reading-log', 100, { params: { books: 1 } }),
      run('index-pages', 4, { heading: { words: 'Index' } }),
    ],
  }),
  recipe('travellers-book', 'A traveller’s book', 'a page a place, room for pictures, lists before', '6x9in', {
    look: 'chart-table',
    folios: 'outside',
    runs: [
      run('checklist', 4, { heading: { words: 'To pack' }, params: { columns: 2 } }),
      run('travel-log', 80),
      run('lined', 16, { heading: { words: 'Addresses and notes' } }),
    ],
  }),
  recipe('dot-journal', 'A dotted journal with an index', 'an index, a year, then dots', '5.5x8.5in', {
    look: 'plain',
    folios: 'outside',
    runs: [
      run('index-pages', 4, { heading: { words: 'Index' } }),
      run('year', 1, { params: { dated: 'undated', shows: 'days' } }),
      run('dot', 180),
    ],
  }),
  recipe('first-letters', 'Handwriting for beginners', 'wide guides, slanted ones, lines at the end', '8.5x11in', {
    look: 'nursery',
    folios: 'centre',
    runs: [
      run('handwriting', 50, { params: { height: 40, gap: 22 } }),
      run('handwriting', 40, { id: 'slanted', params: { height: 30, gap: 16, slant: 'some' } }),
      run('lined', 10),
    ],
  }),
  recipe('comic-book', 'A comic book to draw', 'frames, no two pages alike, a storyboard before', '8.5x11in', {
    look: 'lamp-room',
    folios: 'outside',
    runs: [run('storyboard', 6, { heading: { words: 'The story so far' } }), run('comic', 94)],
  }),
  recipe('music-book', 'A music book', 'staves, and strings on the last pages', '8.5x11in', {
    look: 'guildhall',
    folios: 'outside',
    runs: [
      run('index-pages', 2, { heading: { words: 'Pieces' } }),
      run('staves', 78),
      run('staves', 20, { id: 'strings', params: { lines: '6' } }),
    ],
  }),
  recipe('field-log', 'A field log', 'a table over spreads, graph paper, an index', '6x9in', {
    look: 'counting-house',
    folios: 'outside',
    runs: [
      run('index-pages', 2, { heading: { words: 'Index' } }),
      run('log', 80, { heading: { words: 'Log' } }),
      run('graph', 30),
    ],
  }),
]
