import { ssim } from 'ssim.js'
import type { Pixels } from '../pdf'
import type { Codecs } from './codecs'
import type { Study, Try } from './study'

/** The qualities that there are to choose from: below, blocks are seen; above, nothing is gained. */
export const QUALITIES: readonly number[] = Array.from({ length: 18 }, (_, i) => 30 + 4 * i)

/** Pixels to a side of what is compared at a time. */
const WINDOW = 8

/** How alike two pictures of one size are: SSIM, to 1 (Wang and others, Image quality assessment, 2004). */
export function likenessOf(a: Pixels, b: Pixels): number {
  const image = ({ width, height, rgba }: Pixels) => ({ width, height, data: rgba as Uint8ClampedArray })
  return ssim(image(a), image(b), { ssim: 'bezkrovny', windowSize: WINDOW, downsample: false }).mssim
}

/** Tries a quality on the samples, once. */
export async function tryQuality(study: Study, samples: Pixels, quality: number, codecs: Codecs): Promise<Try> {
  const known = study.tries.find(t => t.quality === quality)
  if (known) return known
  const bytes = await codecs.jpeg(samples, quality, study.grey)
  const likeness = likenessOf(samples, await codecs.jpegPixels(bytes))
  const tried = { quality, likeness, bytes: bytes.length }
  study.tries.push(tried)
  study.tries.sort((a, b) => a.quality - b.quality)
  return tried
}

/** The least quality at which samples are so alike; the best where none is. */
export async function qualityFor(study: Study, samples: Pixels, likeness: number, codecs: Codecs): Promise<Try> {
  let [low, high] = [0, QUALITIES.length - 1]
  // What is asked is most often met high up.
  let next = Math.round(high * 0.7)
  while (low < high) {
    if ((await tryQuality(study, samples, QUALITIES[next]!, codecs)).likeness >= likeness) high = next
    else low = next + 1
    next = (low + high) >> 1
  }
  return tryQuality(study, samples, QUALITIES[low]!, codecs)
}

/** What is tried of a picture to reckon its weight at any likeness. */
const LADDER: readonly number[] = [30, 50, 74, 98]

export async function tryLadder(study: Study, samples: Pixels, codecs: Codecs): Promise<void> {
  for (const quality of LADDER) await tryQuality(study, samples, quality, codecs)
}

/** Whether its weight can be reckoned at any likeness. */
export const isTried = ({ clear, tries }: Study): boolean =>
  clear || LADDER.every(quality => tries.some(t => t.quality === quality))
