import { seeded } from '../../trade'
import { dictionary } from '../../words'
import { type Band, bands, type Difficulty } from '../difficulty'
import type { Candidate } from '../puzzle'
import { sharedName } from '../turns'
import type { LadderValues, WordLadder } from './values'

/** Only words that are said this often: the first so many of the dictionary. */
export const COMMON = 9000
/** Rungs between the first and the last word, by band: from and to; and where the bands begin, bits of choice on the way. */
const rungs: Record<Band, readonly [number, number]> = {
  gentle: [2, 2],
  easy: [2, 3],
  middling: [3, 4],
  hard: [4, 5],
  stubborn: [5, 8],
}
const begins = [0, 7, 9.5, 14, 19]
/** First words that are tried for one ladder. */
const TRIES = 60

/** Words of a length, and of each those that are a letter away. */
interface Web {
  words: string[]
  near: number[][]
}
const webs = new Map<number, Web>()
function webOf(letters: number): Web {
  let web = webs.get(letters)
  if (web) return web
  const words = dictionary()
    .known.slice(0, COMMON)
    .filter(w => w.length === letters)
  const near: number[][] = words.map(() => [])
  // Words that are alike but for one place share a key for that place.
  const alike = new Map<string, number[]>()
  words.forEach((word, i) => {
    for (let at = 0; at < letters; at++) {
      const key = `${word.slice(0, at)}.${word.slice(at + 1)}`
      const others = alike.get(key) ?? []
      alike.set(key, others)
      for (const o of others) {
        near[i]!.push(o)
        near[o]!.push(i)
      }
      others.push(i)
    }
  })
  webs.set(letters, (web = { words, near }))
  return web
}

/** Ladders of the band, none with a word of another. */
export function make({ letters, count, band }: LadderValues, seed: number): Candidate<WordLadder> | undefined {
  const chance = seeded(seed)
  const web = webOf(letters)
  const used = new Set<number>()
  const ladders: number[][] = []
  while (ladders.length < count) {
    const ladder = climb(web, band, used, chance)
    if (!ladder) return undefined
    ladders.push(ladder)
    for (const w of ladder) used.add(w)
  }
  const difficulty = measure(web, ladders)
  if (difficulty.band !== band) return undefined
  const puzzle = { ladders: ladders.map(l => l.map(w => web.words[w]!)) }
  return { puzzle, difficulty, twin: sharedName(twins(puzzle.ladders)) }
}

/** A ladder that is climbed down is the same. */
const twins = (ladders: string[][]): string[] => [
  ladders
    .map(l => [l.join(), [...l].reverse().join()].sort()[0])
    .sort()
    .join('/'),
]

/** The only shortest way from a word by chance to one as far as the band asks, past none of those that are used. */
function climb(
  { words, near }: Web,
  band: Band,
  used: ReadonlySet<number>,
  chance: () => number,
): number[] | undefined {
  const [least, most] = rungs[band]
  for (let attempt = 0; attempt < TRIES; attempt++) {
    const first = Math.floor(chance() * words.length)
    if (used.has(first) || near[first]!.length < 2) continue
    const { far, ways, from } = outward(near, first, most + 1)
    const ends = [...far.keys()].filter(w => ways.get(w) === 1 && far.get(w)! >= least + 1 && far.get(w)! <= most + 1)
    if (!ends.length) continue
    let at = ends[Math.floor(chance() * ends.length)]!
    const ladder = [at]
    while (at !== first) ladder.push((at = from.get(at)!))
    if (!ladder.some(w => used.has(w))) return ladder.reverse()
  }
  return undefined
}

/** How far each word is from one, in how many shortest ways (2: two or more), and by which it is reached. */
function outward(near: number[][], first: number, most: number) {
  const far = new Map([[first, 0]])
  const ways = new Map([[first, 1]])
  const from = new Map<number, number>()
  let edge = [first]
  for (let step = 1; step <= most && edge.length; step++) {
    const next: number[] = []
    for (const w of edge)
      for (const o of near[w]!) {
        const known = far.get(o)
        if (known === undefined) {
          far.set(o, step)
          ways.set(o, ways.get(w)!)
          from.set(o, w)
          next.push(o)
        } else if (known === step) ways.set(o, Math.min(2, ways.get(o)! + ways.get(w)!))
      }
    edge = next
  }
  return { far, ways, from }
}

/** A rung with so many words to go on to is narrow; more, and it is wide. */
const NARROW = 6

/** What must be chosen on the way: bits, of the ways on from each word but the last. */
function measure({ near }: Web, ladders: number[][]): Difficulty {
  let [bits, narrow, broad] = [0, 0, 0]
  for (const ladder of ladders)
    for (const w of ladder.slice(0, -1)) {
      const ways = near[w]!.length
      bits += Math.log2(Math.max(1, ways))
      if (ways <= NARROW) narrow++
      else broad++
    }
  const mean = bits / ladders.length
  const steps = {
    ...(narrow && { 'rung with few ways on': narrow }),
    ...(broad && { 'rung with many ways on': broad }),
  }
  return { band: bands[begins.filter(b => mean >= b).length - 1]!, steps }
}
