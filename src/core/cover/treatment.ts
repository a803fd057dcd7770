import { type Asset, hashOf, type PicturePiece } from '../book'
import { cutOut, type PicturePixels } from './cutOut'
import { toned } from './tone'

/** What is done to the pixels of a picture of a cover: its ground cut out, its tones moved. */
export type Treatment = Pick<PicturePiece, 'cut' | 'tone'>

/** How a picture was treated, in a word that is kept; undefined where nothing is done to it. */
export function treatmentWord({ cut, tone }: Treatment): string | undefined {
  const said = [
    ...(cut ? [`cut ${cut.tolerance}/${cut.soft}/${cut.holes}`] : []),
    ...(cut?.strokes?.length ? [`by hand ${short(cut.strokes)}`] : []),
    ...(tone && Object.keys(tone).length
      ? [`tone ${short(Object.entries(tone).sort(([a], [b]) => (a < b ? -1 : 1)))}`]
      : []),
  ]
  return said.length ? said.join(', ') : undefined
}
/** Whether a word that is kept says how a cover treats a picture: lines of drawings are cleaned under others. */
export const isTreatment = (word: string): boolean => /^(cut|tone) /.test(word)

const short = (value: unknown): string => hashOf(new TextEncoder().encode(JSON.stringify(value))).slice(0, 12)

/** What was made of a picture by treating it so; undefined where it is still to be, or nothing is done to it. */
export function treatedFrom(picture: Pick<Asset, 'cleaned'>, how: Treatment): string | undefined {
  const word = treatmentWord(how)
  return word === undefined ? undefined : picture.cleaned?.find(c => c.how === word)?.id
}

/** A picture as it is treated: new pixels. */
export function treated(picture: PicturePixels, { cut, tone }: Treatment): PicturePixels {
  const { width, height } = picture
  const strokes = cut?.strokes?.map(({ points, radius, keeps }) => ({
    points: points.map(([x, y]) => [x * width, y * height] as const),
    radius: radius * width,
    keeps,
  }))
  const left = cut ? cutOut(picture, { ...cut, strokes }) : picture
  return tone ? toned(left, tone) : left
}
