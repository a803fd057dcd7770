import type { Pixels } from '../pdf'
import type { Codecs } from './codecs'
import { withoutMetadata } from './metadata'
import { qualityFor, tryLadder } from './quality'
import { samplesOf, type Study, studyOf } from './study'

/** Pixels across the screens that books are read on: what most show, held upright; then large ones, and the largest. */
export const SCREENS: readonly number[] = [1600, 2048, 2732]
/** Their height to their width. */
const TALL = 1.5

/** A picture's size as it goes into an ebook: its own, or what of it a screen of so many pixels across can show. */
export function sizeInEbook(
  { width, height }: { width: number; height: number },
  across: number,
): { width: number; height: number } {
  const scale = Math.min(1, across / width, (across * TALL) / height)
  return { width: Math.max(1, Math.round(width * scale)), height: Math.max(1, Math.round(height * scale)) }
}

/** Pixels that two cores write in about a minute. */
const A_MINUTE = 620e6

/**
 * The screens that pictures are usually made for: the largest there are, so that dimensions stay unless no screen shows them; of so
 * many pictures that writing them would take longer than a minute, smaller ones, down to those that most readers have.
 */
export function usualScreen(pictures: readonly { width: number; height: number }[]): number {
  const pixelsAt = (across: number): number =>
    pictures.reduce((n, p) => {
      const { width, height } = sizeInEbook(p, across)
      return n + width * height
    }, 0)
  return [...SCREENS].reverse().find(across => pixelsAt(across) <= A_MINUTE) ?? SCREENS[0]!
}

/** A picture as the author brought it. */
export interface Original {
  bytes: Uint8Array
  type: 'image/png' | 'image/jpeg'
  width: number
  height: number
  /** How its Exif turns it, 1 to 8. */
  orientation?: number | undefined
}

/** A picture as it goes into an ebook. */
export interface LightPicture {
  bytes: Uint8Array
  type: 'image/png' | 'image/jpeg'
  width: number
  height: number
  /** Bytes of the original. */
  was: number
  /** SSIM to the original at this size, to 1; of its samples. */
  likeness: number
  /** Of a JPEG that was written anew. */
  quality?: number
  /** The size of an original that had more pixels than screens show. */
  from?: { width: number; height: number }
  /** The original itself, without what it says beside itself: nothing lighter was found. */
  own?: true
}

/** Writes a picture as light as it can be at a likeness: as JPEG or PNG by its content. `pixels`: its own, in the size of `sizeInEbook`; its study grows. */
export async function lighten(
  original: Original,
  pixels: Pixels,
  likeness: number,
  codecs: Codecs,
  known?: Study,
): Promise<{ picture: LightPicture; study: Study }> {
  const samples = samplesOf(pixels)
  const study = known ?? studyOf(pixels, samples)
  const { width, height } = pixels
  const smaller = width !== original.width || height !== original.height
  const shared = {
    width,
    height,
    was: original.bytes.length,
    ...(smaller ? { from: { width: original.width, height: original.height } } : {}),
  }
  const own = (): LightPicture => {
    const bytes = withoutMetadata(original.bytes, original.orientation)
    return { ...shared, bytes, type: original.type, likeness: 1, own: true }
  }
  const asPng = (): LightPicture => ({ ...shared, bytes: codecs.png(pixels), type: 'image/png', likeness: 1 })
  const asJpeg = async (): Promise<LightPicture> => {
    const tried = await qualityFor(study, samples, likeness, codecs)
    const bytes = await codecs.jpeg(pixels, tried.quality, study.grey)
    return { ...shared, bytes, type: 'image/jpeg', likeness: tried.likeness, quality: tried.quality }
  }
  const candidates: LightPicture[] = []
  if (study.clear) candidates.push(asPng())
  else {
    const jpeg = await asJpeg()
    const png = study.drawn ? asPng() : undefined
    // Lines stay sharp in a PNG alone.
    candidates.push(png && png.bytes.length < jpeg.bytes.length * worthOfLines(likeness) ? png : jpeg)
  }
  // One that is as it came is as like as any; one that is not like enough is only for what must be made smaller.
  const enough = smaller ? candidates : [...candidates.filter(c => c.likeness >= likeness), own()]
  const picture = enough.reduce((a, b) => (b.bytes.length <= a.bytes.length ? b : a))
  return { picture, study }
}

/** How many times as heavy the PNG of a drawing may be as its JPEG: one that is heavier is no drawing after all; and who asks for little has the lightest. */
export const worthOfLines = (likeness: number): number => (likeness >= 0.9 ? 4 : 1)

/** Finds out what is needed to reckon a picture's weight at any likeness, without writing it. */
export async function studyPicture(pixels: Pixels, codecs: Codecs, known?: Study): Promise<Study> {
  const samples = samplesOf(pixels)
  const study = known ?? studyOf(pixels, samples)
  if (!study.clear) await tryLadder(study, samples, codecs)
  return study
}
