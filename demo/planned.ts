import { fitted, kindOf, shippedRecipes, withRecipe, withRecipeSections } from '@/core/activity'
import { type Book, createBook, type PagePlan, type Run, type TitleData, withWritten } from '@/core/book'
import { ofCells, wearing } from './covers'
import { writeProject } from '@/core/archive'
import { seedOf } from '@/core/trade'

/** The planned books of the demo library. */

const orla = [{ name: 'Orla Fenwright', sortName: 'Fenwright, Orla', role: 'aut' }]
const imprint = { name: 'Saltgrass Lane Press', place: 'Merrow Sound' }

/** A run: its kind's values as a new one begins, but for those that are said. */
const run = (id: string, kind: string, pages: number, said: Partial<Run> = {}): Run => ({
  id,
  kind,
  pages,
  seed: seedOf(id),
  ...said,
  params: { ...structuredClone(kindOf(kind)!.plain), ...said.params },
})

const planned = (id: string, data: TitleData, plan: PagePlan): Book => ({ ...createBook(id, data), plan: fitted(plan) })

/** What the letters left over in the word searches say, one after the other: a small story. */
const STORY = [
  'Somebody took the garden gate',
  'Not I said the wren',
  'It stood by the hives at dawn',
  'Open to a field we never had',
  'So I laced my boots',
  'My bees flew before me',
  'Past the pond and the pear tree',
  'Tea was laid for two',
  'With honey bread plus a letter',
  'The letter said come in',
  'I have kept your place warm',
  'Yours the oldest apple tree',
  'I visit every afternoon',
  'You may borrow the gate',
].join('\n')

/** Ten kinds of puzzles, in parts with their rules before them. */
function slowAfternoons(): Run[] {
  const words = (bank: string) => ({ bank, text: '' })
  const garden = (patterns: string[]) => ({ tone: 0.13, patterns, size: 26, clear: true })
  const parts: [id: string, kind: string, pages: number, said: Partial<Run>][] = [
    [
      'words',
      'word-search',
      14,
      {
        heading: { words: 'Among the leaves', from: 1 },
        ground: garden(['sprigs', 'honeycomb', 'petals']),
        params: { words: words('garden'), count: 14, message: 'saying', sayings: { bank: '', text: STORY } },
      },
    ],
    [
      'shapes',
      'word-search',
      8,
      {
        heading: { words: 'Cut to a shape', from: 1 },
        params: {
          words: words('bees'),
          count: 12,
          rows: 20,
          cols: 20,
          outline: 'turn',
          outlines: ['jar', 'butterfly', 'flower', 'heart', 'bird', 'tree', 'drop', 'cherries'],
          band: 'easy',
        },
      },
    ],
    ['squares', 'sudoku', 8, { heading: { words: 'Squares for tea', from: 1 }, each: 2, params: { band: 'easy' } }],
    [
      'paths',
      'maze',
      8,
      {
        heading: { words: 'The long way home', from: 1 },
        ground: garden(['waves', 'scallops']),
        params: {
          size: 'square',
          outline: 'turn',
          outlines: ['house', 'tree-evergreen', 'rabbit', 'church', 'leaf', 'bird', 'jar', 'horse'],
        },
      },
    ],
    [
      'vowels',
      'missing-vowels',
      6,
      {
        heading: { words: 'The wind took the vowels', from: 1 },
        ground: garden(['petals', 'sprigs']),
        params: { words: words('flowers') },
      },
    ],
    ['numbers', 'number-search', 5, { heading: { words: 'Counting jars', from: 1 }, params: { count: 14 } }],
    [
      'nettles',
      'mines',
      6,
      { heading: { words: 'Nettles in the lawn', from: 1 }, params: { rows: 10, cols: 10, band: 'easy' } },
    ],
    ['sums', 'kakuro', 6, { heading: { words: 'Sums over tea', from: 1 }, params: { rows: 7, cols: 7 } }],
    [
      'colours',
      'shade-by-number',
      5,
      {
        heading: { words: 'Colour by count', from: 1 },
        params: { outlines: ['butterfly', 'jar', 'tree-evergreen', 'bird', 'leaf', 'horse', 'bell'] },
      },
    ],
    [
      'ladders',
      'word-ladder',
      6,
      { heading: { words: 'Up the apple ladder', from: 1 }, ground: garden(['honeycomb']), params: { count: 6 } },
    ],
    [
      'dots',
      'dot-to-dot',
      6,
      {
        heading: { words: 'From dot to dot', from: 1 },
        ground: { tone: 0.12, patterns: ['dots', 'crosses'], clear: true },
        params: { outlines: ['butterfly', 'rabbit', 'bird', 'acorn', 'cat', 'carrot', 'leaf'] },
      },
    ],
  ]
  const first = new Map<string, string>()
  const taught = parts.flatMap(([id, kind, pages, said]) => {
    const rules = first.has(kind)
      ? []
      : [
          run(`rules-${id}`, 'how-to', 1, {
            heading: { words: `How it goes: ${kindOf(kind)!.name.toLowerCase()}` },
            params: { of: id },
          }),
        ]
    first.set(kind, id)
    return [...rules, run(id, kind, pages, said)]
  })
  const answers = parts.map(([id]) =>
    run(`answers-${id}`, 'answers', 1, {
      heading: { words: 'Answers' },
      params: { of: id, count: id === 'shapes' ? '2' : '4' },
    }),
  )
  return [run('plate', 'bookplate', 1), ...taught, ...answers]
}

export function hedgerow(): Uint8Array {
  let book = planned(
    'hedgerow-and-hive',
    {
      title: 'Hedgerow & Hive',
      subtitle: 'Puzzles for Slow Afternoons',
      contributors: orla,
      language: 'en-GB',
      imprint,
      year: 2026,
      subjects: ['Games / Word puzzles'],
      description:
        'A book to sit with when the bees are busy and you need not be. Ten kinds of puzzle, from gentle to thoughtful, and a small story that hides in the letters nobody used.',
    },
    {
      look: 'lane-end',
      folios: 'outside',
      references: true,
      margins: { head: 44, foot: 48, inside: 54, outside: 44 },
      runs: slowAfternoons(),
    },
  )
  book = withWritten(book, 'foreword', 'Before you begin', [
    'There is no clock in this book. The puzzles stand in parts, and each part begins with a page that says how its kind goes. Take them in any order; they will keep.',
    'When you have found every word in the first fourteen grids, look at the letters that are left over. Read them from the top, line by line: each grid says one sentence, and the fourteen together tell a story. I did not make it up. Somebody took our gate.',
    'Every puzzle has one answer. The page it stands on is named at the foot of each sheet, so that you need not meet the others on your way.',
  ])
  book = withWritten(book, 'afterword', 'Until the next afternoon', [
    'That was the last of them. If you came here without looking at the answers, take the rest of the day off; if you did look, take it off too.',
    'The bees send their regards.',
  ])
  book = {
    ...book,
    cover: wearing('letter-soup', 'mint'),
    editions: [
      {
        id: 'paperback',
        kind: 'paperback',
        isbn: '9780000002020',
        trim: '8x10in',
        paper: 'white',
        ink: 'black',
        outlets: ['ostrevane'],
        style: 'harbour-roman',
        styleChanges: shippedRecipes.find(r => r.id === 'slow-afternoons')!.style,
        prices: { USD: 999 },
      },
    ],
  }
  return writeProject({ book, pictures: new Map() })
}

/** The coil-bound log. */
export function apiary(): Uint8Array {
  const book = planned(
    'small-apiary-logbook',
    {
      title: 'The Small Apiary Logbook',
      subtitle: 'Inspections, Swarms and Harvests',
      contributors: orla,
      language: 'en-GB',
      imprint,
      year: 2026,
      subjects: ['Hobbies / Beekeeping'],
      description:
        'For keepers of one to five colonies: an inspection a row over two pages, a year at a glance, a place for each harvest and swarm, and dotted leaves for the plan of the stand. It lies flat on the roof of a hive.',
    },
    {
      look: 'counting-house',
      folios: 'outside',
      runs: [
        run('plate', 'bookplate', 1),
        run('index', 'index-pages', 2, { heading: { words: 'Where to find it' } }),
        run('year', 'year', 1, { heading: { words: 'The bee year' }, params: { dated: 'undated', shows: 'days' } }),
        run('r1', 'log', 80, {
          heading: { words: 'Inspections' },
          params: {
            spacing: 24,
            tone: 0.45,
            on: 'spread',
            columns: [
              { name: 'Date', share: 1.2 },
              { name: 'Colony', share: 1.2 },
              { name: 'seen', share: 0.9, under: 'Queen' },
              { name: 'marked', share: 1.1, under: 'Queen' },
              { name: 'Brood', share: 1, unit: 'frames' },
              { name: 'Stores', share: 1, unit: 'frames' },
              { name: 'Temper', share: 1, unit: '1 to 5' },
              { name: 'What I saw', share: 4 },
              { name: 'What I did', share: 4 },
              { name: 'Next', share: 1.4 },
            ],
          },
        }),
        run('swarms', 'log', 8, {
          heading: { words: 'Swarms' },
          params: {
            spacing: 26,
            tone: 0.45,
            columns: [
              { name: 'Date', share: 1 },
              { name: 'Where from', share: 2 },
              { name: 'Weight', share: 1, unit: 'kg' },
              { name: 'Hived in', share: 1.4 },
              { name: 'How it went on', share: 4 },
            ],
          },
        }),
        run('r2', 'log', 16, {
          heading: { words: 'Harvests' },
          params: {
            spacing: 26,
            tone: 0.45,
            columns: [
              { name: 'Date', share: 1.1 },
              { name: 'Hive', share: 1 },
              { name: 'Frames', share: 1, under: 'Taken' },
              { name: 'Weight', share: 1, unit: 'kg', under: 'Taken' },
              { name: 'Water', share: 1, unit: '%' },
              { name: 'Jars', share: 1, unit: 'of 340 g' },
              { name: 'Notes', share: 3 },
            ],
          },
        }),
        run('jobs', 'checklist', 8, { heading: { words: 'Before winter' } }),
        run('r3', 'dot', 12, { heading: { words: 'The stand' }, params: { spacing: 14.4, tone: 0.4 } }),
      ],
    },
  )
  return writeProject({
    book: {
      ...book,
      cover: ofCells(wearing('bound-notebook', 'peat')),
      editions: [
        {
          id: 'coil',
          kind: 'coil',
          isbn: '9780000002037',
          trim: 'A5',
          paper: 'white',
          ink: 'black',
          outlets: ['tarnbrook'],
          style: 'harbour-roman',
          prices: { USD: 1499 },
        },
      ],
    },
    pictures: new Map(),
  })
}

/** Word searches in large print, by the recipe that ships. */
export function lettersLarge(): Uint8Array {
  const data = {
    title: 'Letters Writ Large',
    subtitle: 'Ninety Word Searches for Easy Reading',
    contributors: orla,
    language: 'en-GB',
    imprint,
    year: 2027,
    subjects: ['Games / Word puzzles'],
    description: 'Large letters, plain lists, plenty of room: ninety word searches that want no magnifying glass.',
  }
  const recipe = shippedRecipes.find(r => r.id === 'large-word-search')!
  const plan = withRecipe({ runs: [] }, recipe, { seed: 11 })
  const book: Book = {
    ...withRecipeSections(planned('letters-writ-large', data, plan), recipe),
    cover: wearing('big-print', 'lemon'),
    editions: [
      {
        id: 'paperback',
        kind: 'paperback',
        isbn: '9780000002044',
        trim: '8.5x11in',
        paper: 'white',
        ink: 'black',
        outlets: ['ostrevane'],
        style: 'harbour-roman',
        styleChanges: recipe.style,
      },
    ],
  }
  return writeProject({ book, pictures: new Map() })
}

/** A dated planner in German. */
export function tideYear(): Uint8Array {
  const holidays = { country: 'DE', region: 'SH', text: '' }
  const book: Book = {
    ...planned(
      'gezeitenjahr-2027',
      {
        title: 'Gezeitenjahr 2027',
        subtitle: 'Ein Wochenplaner für Küstenmenschen',
        contributors: orla,
        language: 'de',
        imprint,
        year: 2026,
        subjects: ['Planner'],
        description: 'Dreiundfünfzig Wochen auf je zwei Seiten, zwölf Monate im Überblick, Platz für Notizen.',
      },
      {
        look: 'reading-room',
        folios: 'none',
        margins: { head: 36, foot: 36, inside: 48, outside: 36 },
        runs: [
          run('plate', 'bookplate', 1, { params: { dates: 'without' } }),
          run('jahr', 'year', 1, { params: { from: '2027-01-01', holidays } }),
          run('monate', 'month', 12, { params: { from: '2027-01-01', count: 12, holidays } }),
          run('wochen', 'week', 106, { params: { from: '2027-01-01', count: 53, holidays } }),
          run('gewohnheiten', 'habits', 4, { heading: { words: 'Gewohnheiten' } }),
          run('notizen', 'lined', 14, { heading: { words: 'Notizen' } }),
        ],
      },
    ),
    cover: wearing('twelve-moons', 'midnight'),
    editions: [
      {
        id: 'paperback',
        kind: 'paperback',
        isbn: '9780000002051',
        trim: '6x9in',
        paper: 'cream',
        ink: 'black',
        outlets: ['ostrevane'],
        style: 'harbour-roman',
      },
    ],
  }
  return writeProject({ book, pictures: new Map() })
}
