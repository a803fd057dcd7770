/** Words the simulated marketplace is made from. All of it is made up; no shop's data stands behind it. */
export const themes: { word: string; near: string; pull: number }[] = [
  ['lighthouse', 'sea', 0.8],
  ['harbour', 'sea', 0.7],
  ['tide', 'sea', 0.4],
  ['island', 'sea', 0.9],
  ['ferry', 'sea', 0.3],
  ['lifeboat', 'sea', 0.3],
  ['seaside', 'sea', 1],
  ['smuggler', 'sea', 0.6],
  ['beekeeping', 'garden', 0.8],
  ['apiary', 'garden', 0.3],
  ['hedgerow', 'garden', 0.4],
  ['cottage garden', 'garden', 0.9],
  ['allotment', 'garden', 0.6],
  ['orchard', 'garden', 0.5],
  ['herb', 'garden', 0.7],
  ['birdwatching', 'garden', 0.8],
  ['sourdough', 'kitchen', 0.9],
  ['bakery', 'kitchen', 0.8],
  ['tea room', 'kitchen', 0.6],
  ['cheese making', 'kitchen', 0.4],
  ['preserves', 'kitchen', 0.5],
  ['vineyard', 'kitchen', 0.6],
  ['soup', 'kitchen', 0.7],
  ['foraging', 'kitchen', 0.6],
  ['clockmaker', 'town', 0.4],
  ['bookshop', 'town', 1],
  ['museum', 'town', 0.6],
  ['opera', 'town', 0.4],
  ['village choir', 'town', 0.3],
  ['steam railway', 'town', 0.6],
  ['canal boat', 'town', 0.5],
  ['windmill', 'town', 0.3],
  ['folk tale', 'hearth', 0.7],
  ['moor', 'hearth', 0.5],
  ['winter', 'hearth', 0.9],
  ['weather', 'hearth', 0.5],
  ['stargazing', 'hearth', 0.7],
  ['knitting', 'hearth', 0.9],
  ['pottery', 'hearth', 0.6],
  ['wild swimming', 'hearth', 0.6],
].map(([word, near, pull]) => ({ word: word as string, near: near as string, pull: pull as number }))

/** Forms a theme takes: half are read, half are written or solved in. `buyers`: share of searchers who buy; `crowd`: how full it is. */
export const forms: {
  word: string
  kind: 'fiction' | 'activity' | 'handbook'
  searches: number
  buyers: number
  crowd: number
  pages: [number, number]
  price: [number, number]
}[] = [
  {
    word: 'mystery',
    kind: 'fiction',
    searches: 5200,
    buyers: 0.16,
    crowd: 0.72,
    pages: [220, 360],
    price: [999, 1599],
  },
  { word: 'saga', kind: 'fiction', searches: 2600, buyers: 0.18, crowd: 0.55, pages: [300, 480], price: [1099, 1699] },
  { word: 'romance', kind: 'fiction', searches: 6400, buyers: 0.15, crowd: 0.8, pages: [200, 340], price: [899, 1499] },
  {
    word: 'ghost story',
    kind: 'fiction',
    searches: 1500,
    buyers: 0.13,
    crowd: 0.42,
    pages: [160, 280],
    price: [899, 1399],
  },
  {
    word: 'short stories',
    kind: 'fiction',
    searches: 1800,
    buyers: 0.1,
    crowd: 0.48,
    pages: [120, 240],
    price: [799, 1299],
  },
  {
    word: 'handbook',
    kind: 'handbook',
    searches: 2100,
    buyers: 0.2,
    crowd: 0.5,
    pages: [120, 260],
    price: [1199, 2199],
  },
  {
    word: 'log book',
    kind: 'activity',
    searches: 1300,
    buyers: 0.31,
    crowd: 0.38,
    pages: [100, 160],
    price: [699, 1199],
  },
  {
    word: 'journal',
    kind: 'activity',
    searches: 3300,
    buyers: 0.19,
    crowd: 0.76,
    pages: [100, 200],
    price: [699, 1299],
  },
  {
    word: 'puzzle book',
    kind: 'activity',
    searches: 3900,
    buyers: 0.27,
    crowd: 0.66,
    pages: [90, 160],
    price: [699, 1099],
  },
  {
    word: 'colouring book',
    kind: 'activity',
    searches: 4400,
    buyers: 0.24,
    crowd: 0.78,
    pages: [60, 110],
    price: [699, 1199],
  },
]

/** What readers add to a phrase: how much it narrows the search, and what it does to buying and crowding. */
export const narrowers: {
  words: string
  before: boolean
  share: number
  buyers: number
  crowd: number
  only?: 'fiction' | 'activity' | 'handbook'
}[] = [
  { words: 'cosy', before: true, share: 0.34, buyers: 1.15, crowd: 0.95, only: 'fiction' },
  { words: 'historical', before: true, share: 0.22, buyers: 1.1, crowd: 0.85, only: 'fiction' },
  { words: 'series in order', before: false, share: 0.14, buyers: 0.7, crowd: 0.7, only: 'fiction' },
  { words: 'with a little romance', before: false, share: 0.06, buyers: 1.5, crowd: 0.4, only: 'fiction' },
  { words: 'for winter evenings', before: false, share: 0.05, buyers: 1.4, crowd: 0.35, only: 'fiction' },
  { words: 'large print', before: true, share: 0.16, buyers: 1.6, crowd: 0.5 },
  { words: 'for beginners', before: false, share: 0.3, buyers: 1.3, crowd: 0.8, only: 'handbook' },
  { words: 'step by step', before: false, share: 0.12, buyers: 1.2, crowd: 0.6, only: 'handbook' },
  { words: 'for seniors', before: false, share: 0.18, buyers: 1.7, crowd: 0.55, only: 'activity' },
  { words: 'for adults', before: false, share: 0.4, buyers: 1.1, crowd: 0.95, only: 'activity' },
  { words: 'small', before: true, share: 0.07, buyers: 1.4, crowd: 0.3, only: 'activity' },
  { words: 'weekly', before: true, share: 0.09, buyers: 1.3, crowd: 0.4, only: 'activity' },
  { words: 'gift', before: false, share: 0.2, buyers: 1.25, crowd: 0.7 },
  { words: 'illustrated', before: true, share: 0.1, buyers: 1, crowd: 0.5 },
]

/** The five markets of the simulated shops. `size` scales searches, `thrift` prices; `leans` favours a neighbourhood of themes. */
export const markets = [
  { id: 'merrow', name: 'Merrow Isles', size: 1, thrift: 1, leans: 'sea' },
  { id: 'calder', name: 'Calderland', size: 2.4, thrift: 1.05, leans: 'town' },
  { id: 'northmark', name: 'Northmark', size: 0.5, thrift: 1.1, leans: 'hearth' },
  { id: 'vesper', name: 'Vesper Coast', size: 0.8, thrift: 0.92, leans: 'garden' },
  { id: 'tamsel', name: 'Tamsel', size: 0.3, thrift: 0.88, leans: 'kitchen' },
] as const
export type MarketId = (typeof markets)[number]['id']
export const isMarket = (id: string): id is MarketId => markets.some(m => m.id === id)

export const firstNames =
  'Ansel Brina Corvin Delphie Edda Farrel Gwenna Hollis Isaura Jorrin Keziah Lorcan Maren Nella Osric Petra Quillan Rosalba Soren Tamsyn Ulric Verity Wilmot Ysolde Zander'.split(
    ' ',
  )
export const nameParts = [
  [
    'Ash',
    'Bram',
    'Cald',
    'Dun',
    'Elm',
    'Fen',
    'Gorse',
    'Hal',
    'Ives',
    'Kel',
    'Lark',
    'Marl',
    'Nether',
    'Ost',
    'Pell',
    'Quar',
    'Reed',
    'Salt',
    'Thorn',
    'Wick',
  ],
  ['bourne', 'combe', 'dyke', 'garth', 'holt', 'lock', 'mere', 'ridge', 'stow', 'thwaite', 'wold', 'yarrow'],
] as const
export const titleWords = {
  adjective:
    'Silent Drowned Crooked Amber Lost Borrowed Salt Winter Paper Hollow Last Gentle Hidden Northern Copper Patient'.split(
      ' ',
    ),
  noun: 'Lamp Ledger Key Garden Letter Compass Bell Room Orchard Clock Lantern Feast Path Hour Stone Tide'.split(' '),
}
