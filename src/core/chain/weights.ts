import type { Edition } from '../book'
import { ebookMoney } from '../outlets'
import type { OutletProfile } from '../trade'
import { usualScreen } from '../weight'
import type { EbookChain } from './ebookChain'
import type { Graph } from './graph'

/** What a picture of an ebook weighs, as it goes and as it came, and how alike they are. Bytes. */
export interface PictureWeight {
  asset: string
  name: string | undefined
  is: number
  was: number
  /** SSIM, to 1; of one that goes as it came, 1. */
  likeness: number
  type: string
  width: number
  height: number
  /** Of a JPEG that was written anew. */
  quality?: number
  /** Its size as it came, where it had more pixels than screens show. */
  from?: { width: number; height: number }
  /** Why it goes as it came. */
  failed?: string
}

/** What an ebook weighs, and what of it. Bytes. */
export interface Weights {
  is: number
  /** With its pictures as they came. */
  was: number
  /** Pixels across the screens that they are made for, or would be. */
  across: number
  /** The least alike first; of those that are equally so, the heaviest. */
  pictures: PictureWeight[]
}

export async function weightsOf(chain: Pick<Graph<EbookChain>, 'get'>): Promise<Weights> {
  const { bytes, pictures: inFile } = await chain.get('epub')
  const light = await chain.get('light')
  const failed = new Map(light?.failed.map(f => [f.asset, f.why]))
  const pictures = (await chain.get('assets')).flatMap((a): PictureWeight[] => {
    const is = inFile.get(a.id)
    if (is === undefined) return []
    const made = light?.pictures.get(a.id)
    const { type, width, height } = made ?? a
    const why = failed.get(a.id)
    return [
      {
        ...{ asset: a.id, name: a.name, is, was: made?.was ?? is, likeness: made?.likeness ?? 1, type, width, height },
        ...(made?.quality === undefined ? {} : { quality: made.quality }),
        ...(made?.from ? { from: made.from } : {}),
        ...(why === undefined ? {} : { failed: why }),
      },
    ]
  })
  pictures.sort((a, b) => a.likeness - b.likeness || b.is - a.is)
  const saved = pictures.reduce((n, p) => n + p.was - p.is, 0)
  const heavy = new Set((await chain.get('heavy')).split(' '))
  const across =
    (await chain.get('settings'))?.light?.across ??
    usualScreen((await chain.get('assets')).filter(a => heavy.has(a.id)))
  return { is: bytes.length, was: bytes.length + saved, across, pictures }
}

/** What a lighter file is worth at an outlet: what a copy brings with it and without it, minor units; and the most that it may weigh. */
export interface WeightAtOutlet {
  outletId: string
  outlet: string
  currency: string
  /** Undefined without a price. */
  brings: { is: number; was: number } | undefined
  /** What of that its delivery takes now. */
  delivery: number
  /** It takes something for each megabyte. */
  charges: boolean
  is: number
  /** Bytes. */
  most: number | undefined
}

export async function weightAtOutlet(chain: Pick<Graph<EbookChain>, 'get'>): Promise<WeightAtOutlet> {
  const profile: OutletProfile = await chain.get('profile')
  const [{ is, was }, price] = [await weightsOf(chain), await chain.get('price')]
  const money = (weight: number) => (price === undefined ? undefined : ebookMoney(profile, price, weight))
  const [now, before] = [money(is), money(was)]
  return {
    outletId: profile.id,
    outlet: profile.name,
    currency: profile.currency,
    brings: now && before && { is: now.royalty, was: before.royalty },
    delivery: now?.delivery ?? 0,
    charges: !!profile.royalty.delivery,
    is,
    most: profile.ebook && profile.ebook.epubMb * 1e6,
  }
}

/** The ebook of a book that its pictures are weighed in: its first. */
export const weighedEdition = (editions: readonly Edition[]): Edition | undefined =>
  editions.find(e => e.kind === 'ebook')
