import harbour from './banks/harbour.json' with { type: 'json' }
import garden from './banks/garden.json' with { type: 'json' }
import kitchen from './banks/kitchen.json' with { type: 'json' }
import baking from './banks/baking.json' with { type: 'json' }
import birds from './banks/birds.json' with { type: 'json' }
import trees from './banks/trees.json' with { type: 'json' }
import flowers from './banks/flowers.json' with { type: 'json' }
import farm from './banks/farm.json' with { type: 'json' }
import bees from './banks/bees.json' with { type: 'json' }
import woodland from './banks/woodland.json' with { type: 'json' }
import sea from './banks/sea.json' with { type: 'json' }
import dogs from './banks/dogs.json' with { type: 'json' }
import cats from './banks/cats.json' with { type: 'json' }
import horses from './banks/horses.json' with { type: 'json' }
import insects from './banks/insects.json' with { type: 'json' }
import weather from './banks/weather.json' with { type: 'json' }
import space from './banks/space.json' with { type: 'json' }
import mountains from './banks/mountains.json' with { type: 'json' }
import river from './banks/river.json' with { type: 'json' }
import desert from './banks/desert.json' with { type: 'json' }
import winter from './banks/winter.json' with { type: 'json' }
import beach from './banks/beach.json' with { type: 'json' }
import christmas from './banks/christmas.json' with { type: 'json' }
import spooky from './banks/spooky.json' with { type: 'json' }
import railway from './banks/railway.json' with { type: 'json' }
import camping from './banks/camping.json' with { type: 'json' }
import music from './banks/music.json' with { type: 'json' }
import theatre from './banks/theatre.json' with { type: 'json' }
import painting from './banks/painting.json' with { type: 'json' }
import books from './banks/books.json' with { type: 'json' }
import needlework from './banks/needlework.json' with { type: 'json' }
import workshop from './banks/workshop.json' with { type: 'json' }
import clothes from './banks/clothes.json' with { type: 'json' }
import house from './banks/house.json' with { type: 'json' }
import fruit from './banks/fruit.json' with { type: 'json' }
import vegetables from './banks/vegetables.json' with { type: 'json' }
import castle from './banks/castle.json' with { type: 'json' }
import fairytale from './banks/fairytale.json' with { type: 'json' }
import detective from './banks/detective.json' with { type: 'json' }
import travel from './banks/travel.json' with { type: 'json' }
import type { Word, WordList } from './wordList'

/** A themed list of words that ships, as its file has it: words with their clues, and words without. */
interface BankFile {
  id: string
  name: string
  clues: Record<string, string>
  words: string
}

/** A list that ships. */
export interface Bank extends WordList {
  id: string
}

const files: BankFile[] = [
  harbour,
  garden,
  kitchen,
  baking,
  birds,
  trees,
  flowers,
  farm,
  bees,
  woodland,
  sea,
  dogs,
  cats,
  horses,
  insects,
  weather,
  space,
  mountains,
  river,
  desert,
  winter,
  beach,
  christmas,
  spooky,
  railway,
  camping,
  music,
  theatre,
  painting,
  books,
  needlework,
  workshop,
  clothes,
  house,
  fruit,
  vegetables,
  castle,
  fairytale,
  detective,
  travel,
]

const wordsOf = ({ clues, words }: BankFile): Word[] => [
  ...Object.entries(clues).map(([word, clue]) => ({ word, clue })),
  ...words.split(', ').map(word => ({ word })),
]

/** Every themed bank, in the order they are offered. A new one is a file and a line here. */
export const banks: readonly Bank[] = files.map(f => ({ id: f.id, name: f.name, words: wordsOf(f) }))

/** The words of all banks, each once, with its first clue. */
export const allBanks: Bank = {
  id: 'all',
  name: 'Everything',
  words: [
    ...banks
      .flatMap(b => b.words)
      // Those with a clue come first: of two that are alike the first one stays.
      .sort((a, b) => Number(!!b.clue) - Number(!!a.clue))
      .reduce((all, w) => (all.has(w.word) ? all : all.set(w.word, w)), new Map<string, Word>())
      .values(),
  ],
}
