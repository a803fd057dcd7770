import { authorLine, type Book, type Edition, type ListingDraft, type TitleData } from '../book'
import type { CoverDesign } from '../cover'
import type { EbookMoney, ListingSnapshot, PrintMoney } from '../outlets'
import type { InteriorStyle, StyleChanges } from '../pages'
import { fingerprint } from './fingerprint'

/** What a listing says of any edition. */
export interface Stated {
  data: TitleData
  isbn: string | undefined
  price: number | undefined
  otherPrices: Record<string, number> | undefined
  draft: ListingDraft
  design: CoverDesign
  text: Pick<Book, 'sections'>
}

function stated({ data, isbn, price, otherPrices, draft, design }: Stated): Omit<ListingSnapshot, 'interior'> {
  return {
    title: data.title,
    subtitle: data.subtitle ?? '',
    author: authorLine(data),
    isbn: isbn ?? '',
    description: data.description ?? '',
    slots: (draft.slots ?? []).filter(s => s.trim()),
    categories: draft.categories ?? [],
    lowContent: !!draft.lowContent,
    ...(draft.adult ? { adult: true } : {}),
    price: price ?? 0,
    ...(otherPrices ? { otherPrices } : {}),
    cover: fingerprint({ design, data }),
  }
}

const textPrint = ({ text, data }: Pick<Stated, 'text' | 'data'>): string =>
  fingerprint({ sections: text.sections.map(s => fingerprint(s)), data })

/** What the outlet would see of an ebook if it were sent now. */
export function ebookSnapshot(s: Stated, bytes: number, money: EbookMoney | undefined): ListingSnapshot {
  return {
    ...stated(s),
    epubBytes: bytes,
    ...(money ? { royalty: money.royalty } : {}),
    interior: textPrint(s),
  }
}

/** What a print edition adds to what its listing says. Lengths in points. */
export interface Printed {
  pages: number
  spine: number
  wrap: { width: number }
  money: PrintMoney
  style: InteriorStyle
  exceptions: Record<string, StyleChanges> | undefined
  edition: Pick<Edition, 'trim' | 'paper' | 'ink' | 'barcode' | 'wrap'>
  finish: string | undefined
  plan: Book['plan']
}

/** What the outlet would see of a print edition if it were sent now. */
export function printSnapshot(s: Stated, p: Printed): ListingSnapshot {
  const [earned] = p.money.earnings
  const { trim, paper, ink, barcode, wrap } = p.edition
  const own = { ...(barcode ? { barcode } : {}), ...(wrap ? { wrap } : {}) }
  const said = stated(s)
  return {
    ...said,
    // What an edition has of its own is part of its cover.
    ...(barcode || wrap ? { cover: fingerprint({ cover: said.cover, ...own }) } : {}),
    pages: p.pages,
    spinePt: p.spine,
    wrapWidthPt: p.wrap.width,
    cost: p.money.cost,
    ...(p.finish ? { finish: p.finish } : {}),
    ...(earned && s.price !== undefined ? { royalty: earned.royalty } : {}),
    interior: fingerprint({
      text: textPrint(s),
      style: p.style,
      exceptions: p.exceptions,
      trim,
      paper,
      ink,
      plan: p.plan,
    }),
  }
}
