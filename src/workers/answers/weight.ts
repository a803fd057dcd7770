import {
  type PictureWeight,
  weighedEdition,
  type WeightAtOutlet,
  weightAtOutlet,
  type Weights,
  weightsOf,
} from '@/core/chain'
import { unshared } from '@/core/trade'
import { ebookOf, editionOf } from '../chains'
import { bookOf } from '../openBooks'
import { originalBytes } from '../pictureShelf'

/** What ebooks and their pictures weigh. */
export const weight = {
  weights: (bookId: string, editionId: string, outletId?: string): Promise<Weights> =>
    weightsOf(ebookOf(bookId, editionId, outletId)),

  /** What its weight comes to at each outlet that it goes to. */
  async weightAtOutlets(bookId: string, editionId: string): Promise<WeightAtOutlet[]> {
    const out: WeightAtOutlet[] = []
    for (const o of editionOf(bookId, editionId).outlets) out.push(await weightAtOutlet(ebookOf(bookId, editionId, o)))
    return out
  },

  /** What a picture weighs in the book's ebook; undefined where it has none, or the picture is not in it. */
  async pictureWeight(bookId: string, asset: string): Promise<PictureWeight | undefined> {
    const edition = weighedEdition(bookOf(bookId).book.editions)
    if (!edition) return undefined
    return (await weightsOf(ebookOf(bookId, edition.id))).pictures.find(p => p.asset === asset)
  },

  /** A picture as it came and as it goes into the ebook. */
  async twoPictures(bookId: string, editionId: string, outletId: string | undefined, asset: string) {
    const chain = ebookOf(bookId, editionId, outletId)
    const made = (await chain.get('light'))?.pictures.get(asset)
    // Of a page of a PDF there is the picture that was made of it.
    const page = (await chain.get('elsewhere')).get(asset)?.picture
    const was = page ?? (await originalBytes(asset))
    if (!was) return undefined
    const type = page ? 'image/jpeg' : (await chain.get('assets')).find(a => a.id === asset)!.type
    return {
      was: new Blob([unshared(was)], { type }),
      is: made ? new Blob([unshared(made.bytes)], { type: made.type }) : undefined,
    }
  },
}
