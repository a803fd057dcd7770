import type { Asset } from '../book'
import type { Ticker } from '../trade'
import { type LightPicture, usualScreen } from './lighten'
import { Reckoning } from './reckoning'
import type { Study } from './study'

/** What an author asks of an ebook's pictures: each at least so alike (SSIM, to 1), or the whole file at most so heavy (bytes). */
export type LightWish = ({ likeness: number } | { weight: number }) & {
  /** Pixels across the largest screen that it is made for; the usual, where it is not said. */
  across?: number
}

/** How a picture is to be written. */
export interface LightAim {
  likeness: number
  across: number
}

/** Who lightens pictures, several at once; what was done once is kept. */
export interface Lightener {
  /** How many it works at. */
  atOnce: number
  study(picture: Asset, across: number): Promise<Study>
  lighten(picture: Asset, aim: LightAim): Promise<LightPicture>
}

/** The pictures of a book as they go into its ebook. */
export interface LightBook {
  pictures: Map<string, LightPicture>
  /** How alike each is at least, as it was asked or found. */
  likeness: number
  /** Pictures that could not be read: they go as they are. */
  failed: { asset: string; why: string }[]
}

/** Steps of likeness where a weight is asked, and the least: below it, pictures are spoilt. */
const STEPS = Array.from({ length: 60 }, (_, i) => (995 - 5 * i) / 1000)
export const LEAST_LIKENESS = STEPS.at(-1)!

/** Pictures that are written anew; drawings in lines and moving pictures stay. */
export const canBeLightened = (a: Asset): boolean => !a.damaged && (a.type === 'image/png' || a.type === 'image/jpeg')

/** Lightens the pictures of a book. `rest`: bytes of its file beside them. */
export async function lightenBook(
  assets: readonly Asset[],
  wish: LightWish,
  rest: number,
  lightener: Lightener,
  tick: Ticker,
): Promise<LightBook> {
  const pictures = assets.filter(canBeLightened)
  const across = wish.across ?? usualScreen(pictures)
  const at = (likeness: number): Promise<LightBook> => lightenedAt(pictures, { likeness, across }, lightener, tick)
  if ('likeness' in wish) return at(wish.likeness)
  const weigh = (p: Asset): Promise<Study> => lightener.study(p, across)
  const { made: studies } = await all(pictures, lightener.atOnce, 'Weighing pictures', weigh, tick)
  const reckoning = new Reckoning(studies)
  const first = (): number => {
    const fits = STEPS.findIndex(likeness => rest + reckoning.at(likeness) <= wish.weight)
    return fits < 0 ? STEPS.length - 1 : fits
  }
  const tried = new Set<number>()
  let best: LightBook | undefined
  for (let step = first(); !tried.has(step);) {
    tried.add(step)
    const made = await at(STEPS[step]!)
    reckoning.learn(made.pictures, made.likeness)
    const met = rest + weightOf(made) <= wish.weight
    if (met && made.likeness >= (best?.likeness ?? 0)) best = made
    if (!met && step === STEPS.length - 1) return best ?? made
    // What was written says how heavy the others will be: a step too far is taken back, and the least is no more than is needed.
    step = met ? Math.min(first(), step) : Math.max(first(), step + 1)
  }
  return best!
}

const weightOf = ({ pictures }: LightBook): number => [...pictures.values()].reduce((n, p) => n + p.bytes.length, 0)

async function lightenedAt(pictures: Asset[], aim: LightAim, lightener: Lightener, tick: Ticker): Promise<LightBook> {
  const lighten = (p: Asset): Promise<LightPicture> => lightener.lighten(p, aim)
  const { made, failed } = await all(pictures, lightener.atOnce, 'Making pictures lighter', lighten, tick)
  return { pictures: made, likeness: aim.likeness, failed }
}

/** Does one thing with each picture, a few at a time. One that fails stops no other. */
async function all<T>(
  pictures: Asset[],
  atOnce: number,
  stage: string,
  work: (p: Asset) => Promise<T>,
  tick: Ticker,
): Promise<{ made: Map<string, T>; failed: LightBook['failed'] }> {
  const done = new Map<string, T>()
  const failed: LightBook['failed'] = []
  let next = 0
  const one = async (): Promise<void> => {
    for (let p = pictures[next++]; p; p = pictures[next++]) {
      try {
        done.set(p.id, await work(p))
      } catch (e) {
        failed.push({ asset: p.id, why: (e as Error).message })
      }
      await tick({ stage, done: done.size + failed.length, of: pictures.length })
    }
  }
  await Promise.all(Array.from({ length: Math.min(atOnce, pictures.length) }, one))
  // In the order of the book, however they came.
  const made = new Map(pictures.flatMap(p => (done.has(p.id) ? [[p.id, done.get(p.id)!] as const] : [])))
  return { made, failed }
}
