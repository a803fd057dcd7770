import { imageSize } from 'image-size'
import type { Asset } from '../book'
import type { Pixels } from '../pdf'
import { Fault } from '../trade'
import type { LightAim, Lightener } from './book'
import type { Codecs } from './codecs'
import { type LightPicture, lighten, type Original, sizeInEbook, studyPicture } from './lighten'
import { isTried } from './quality'
import type { Study } from './study'

/** What is kept of a picture, by the hash of its original. */
export interface KeptLight {
  /** By which rules: what was made by others is made again. */
  form: number
  study: { across: number; of: Study }
  /** How it was written lately, the latest last, by what was asked. */
  made: { asked: LightAim; picture: LightPicture }[]
}

/** What lightening asks of the world. */
export interface LightPorts {
  bytes(asset: string): Promise<Uint8Array | undefined>
  /** A picture upright in a size of its own form. */
  decode(bytes: Uint8Array, picture: Asset, size: { width: number; height: number }): Promise<Pixels>
  codecs(): Promise<Codecs>
  kept: { read(asset: string): Promise<KeptLight | undefined>; write(asset: string, kept: KeptLight): Promise<void> }
}

/** Counts up when a picture is written or looked at in another way than before. */
const FORM = 1

/** Of one picture, so many ways of writing it are kept: who compares two does not wait twice. */
const KEPT = 3

/** The one that was kept for this. */
export const keptFor = (kept: KeptLight | undefined, { likeness, across }: LightAim): LightPicture | undefined =>
  kept?.form === FORM
    ? kept.made.find(m => m.asked.likeness === likeness && m.asked.across === across)?.picture
    : undefined

/** What was found out of it in this size. */
const studied = (kept: KeptLight | undefined, across: number): Study | undefined =>
  kept?.study.across === across ? kept.study.of : undefined

/** Lightens pictures one at a time, and keeps what it made. */
export function createLightener({ bytes, decode, codecs, kept }: LightPorts): Lightener {
  const open = async (a: Asset, across: number): Promise<{ original: Original; pixels: Pixels }> => {
    const file = await bytes(a.id)
    if (!file) throw new Fault('no-picture', 'Its file is not in the library.')
    const { orientation } = imageSize(file)
    const { width, height } = a
    const original = { bytes: file, type: a.type as Original['type'], width, height, orientation }
    return { original, pixels: await decode(file, a, sizeInEbook(a, across)) }
  }
  const known = async (id: string): Promise<KeptLight | undefined> => {
    const before = await kept.read(id)
    return before?.form === FORM ? before : undefined
  }
  return {
    atOnce: 1,
    async study(a, across) {
      const before = await known(a.id)
      const looked = studied(before, across)
      if (looked && isTried(looked)) return looked
      const study = await studyPicture((await open(a, across)).pixels, await codecs(), looked)
      await kept.write(a.id, { form: FORM, study: { across, of: study }, made: before?.made ?? [] })
      return study
    },
    async lighten(a, aim) {
      const before = await known(a.id)
      const ready = keptFor(before, aim)
      if (ready) return ready
      const { likeness, across } = aim
      const { original, pixels } = await open(a, across)
      const { picture, study } = await lighten(original, pixels, likeness, await codecs(), studied(before, across))
      const made = [...(before?.made ?? []), { asked: aim, picture }].slice(-KEPT)
      await kept.write(a.id, { form: FORM, study: { across, of: study }, made })
      return picture
    },
  }
}
