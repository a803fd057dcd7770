import type { Laid, OwnShape, Tracing } from '@/core/silhouettes'
import { Fault } from '@/core/trade'
import { decodedWhole } from '../decoding'
import { shelf } from '../fontShelf'

// Shapes are loaded when a room asks for them.
const core = () => import('@/core/silhouettes')

/** A picture is traced at no more than this, pixels of its longer side: no grid of letters shows more. */
const TRACED = 240

/** What rooms ask of outlines. */
export const shapes = {
  /** How an outline comes out on grids. */
  coverOn: async (
    outline: string,
    own: OwnShape | undefined,
    grids: readonly { rows: number; cols: number }[],
  ): Promise<Laid[] | undefined> => (await core()).coverOn(outline, own, grids),

  shapeOfText: async (words: string, face: string): Promise<OwnShape> => (await core()).shapeOfText(words, face, shelf),

  shapeOfPicture: async (file: File, how: Tracing): Promise<OwnShape> => {
    const bytes = new Uint8Array(await file.arrayBuffer())
    // What a header says would have to be decoded: it is read first.
    const { id } = (await import('@/core/intake')).readAsset(bytes) ?? {}
    const { shapeOfPicture } = await core()
    const shape = id && (await decodedWhole(id, bytes, b => shapeOfPicture(file.name, pixelsOf(b), how)))
    if (!shape) throw new Fault('shape', `${file.name} is no picture that can be read.`)
    return shape
  },
}

/** A picture's pixels, no more of them than are traced. */
function pixelsOf(bitmap: ImageBitmap): ImageData {
  const scale = Math.min(1, TRACED / Math.max(bitmap.width, bitmap.height))
  const [width, height] = [bitmap.width, bitmap.height].map(n => Math.max(1, Math.round(n * scale))) as [number, number]
  const g = new OffscreenCanvas(width, height).getContext('2d')!
  g.drawImage(bitmap, 0, 0, width, height)
  return g.getImageData(0, 0, width, height)
}
