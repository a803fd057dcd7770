import '../../tests/support/store'
import { beforeEach, describe, expect, jest, test } from '@jest/globals'
import { bookOf } from '../../tests/support/core'
import type { Asset, PictureCut } from '@/core/book'
import { lampOverTide, treatedFrom, treatmentWord } from '@/core/cover'

/** What the press makes of each picture; nothing where it cannot be decoded. */
const made = new Map<string, Uint8Array<ArrayBuffer> | undefined>()
const asked: unknown[] = []
jest.unstable_mockModule('@/workers/client', () => ({
  press: () => ({
    treatPicture: async (id: string, how: unknown) => {
      asked.push(how)
      const bytes = made.get(id)
      return bytes && { bytes, type: 'image/png', width: 20, height: 10 }
    },
  }),
}))
const { getBook, putBook } = await import('./books')
const { blobBytes } = await import('./blobs')
const { treatPicture } = await import('./treating')
const { undo } = await import('./changes')

const photo: Asset = { id: 'a'.repeat(64), type: 'image/jpeg', width: 20, height: 10, name: 'quay.jpg' }
const cut: PictureCut = { tolerance: 0.1, soft: 2, holes: 'kept' }
const assets = async () => (await getBook('ebb'))!.book.assets

beforeEach(async () => {
  asked.length = 0
  made.set(photo.id, Uint8Array.from([1, 2, 3]))
  await putBook({ book: { ...bookOf([['x']]), id: 'ebb', assets: [photo] }, pictures: new Map() })
})

describe('a picture as a cover treats it', () => {
  test('is a picture of its own beside the original, found again by what was done to it, and offered to nobody', async () => {
    await treatPicture('ebb', photo.id, { cut })
    const [original, fresh] = await assets()
    expect(fresh).toMatchObject({ type: 'image/png', made: true, name: 'quay.jpg, cut out' })
    expect(treatedFrom(original!, { cut })).toBe(fresh!.id)
    expect(await blobBytes(fresh!.id)).toEqual(Uint8Array.from([1, 2, 3]))
    expect(original).toEqual({ ...photo, cleaned: [{ how: treatmentWord({ cut }), id: fresh!.id }] })
    await undo('ebb')
    expect(await assets()).toEqual([photo])
  })

  test('in two ways it is made twice, and each is found', async () => {
    const tone = { light: 0.2 }
    await treatPicture('ebb', photo.id, { cut })
    made.set(photo.id, Uint8Array.from([4, 5]))
    await treatPicture('ebb', photo.id, { tone })
    const [original, , second] = await assets()
    expect(second!.name).toBe('quay.jpg, in other tones')
    expect(treatedFrom(original!, { tone })).toBe(second!.id)
    expect(treatedFrom(original!, { cut })).not.toBe(second!.id)
    expect(asked).toEqual([{ cut }, { tone }])
  })

  test('by many strokes it is made many times: what no cover shows any more goes, but for the newest; what one shows stays', async () => {
    const piece = {
      id: 'p',
      kind: 'picture' as const,
      panel: 'front' as const,
      asset: photo.id,
      box: { x: 0, y: 0, width: 1, height: 1 },
    }
    const cover = { ...lampOverTide, pieces: [{ ...piece, tone: { light: 0.01 } }] }
    const lines = { how: '0.5/0/60', id: 'b'.repeat(64) }
    const drawn = { ...photo, id: lines.id, made: true as const }
    await putBook({
      book: { ...bookOf([['x']]), id: 'ebb', cover, assets: [{ ...photo, cleaned: [lines] }, drawn] },
      pictures: new Map(),
    })
    for (let i = 1; i <= 12; i++) {
      made.set(photo.id, Uint8Array.from([9, i]))
      await treatPicture('ebb', photo.id, { tone: { light: i / 100 } })
    }
    const all = await assets()
    // The one that the cover shows, four former ones, and the drawing whose lines were cleaned.
    expect(all[0]!.cleaned!.map(c => c.how)).toEqual([
      lines.how,
      ...[1, 9, 10, 11, 12].map(i => treatmentWord({ tone: { light: i / 100 } })),
    ])
    expect(all.map(a => a.id)).toEqual([photo.id, ...all[0]!.cleaned!.map(c => c.id)])
    // A step back names nothing that is not there.
    await undo('ebb')
    const back = await assets()
    for (const { id } of back[0]!.cleaned!) expect(back.some(a => a.id === id)).toBe(true)
  })

  test('with nothing to be done is not made; one that cannot be decoded is said by its name, and nothing is changed', async () => {
    await treatPicture('ebb', photo.id, {})
    expect(asked).toEqual([])
    made.set(photo.id, undefined)
    await expect(treatPicture('ebb', photo.id, { cut })).rejects.toThrow(/“quay.jpg” is damaged/)
    expect(await assets()).toEqual([photo])
  })
})
