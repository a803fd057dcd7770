import {
  fitTo,
  type FitOffer,
  type Interior,
  type InteriorStyle,
  readStyleDocument,
  Setter,
  styleById,
  type StyleChanges,
  withChanges,
} from '@/core/pages'
import type { PageMarks } from '@/core/marks'
import { printChain, styleOf } from '@/core/chain'
import { parseTrim } from '@/core/trade'
import { tell } from './telling'
import { editionOf, outletOf, tools, tryStyle } from './chains'
import { printInputsOf } from './editionInputs'
import { bookOf } from './openBooks'

/** What an edition comes to in a style: what the author weighs one against another by. */
export interface StyleFigures {
  pages: number
  spinePt: number
  /** Minor units. */
  cost: number
}

/** A style by its document, or by id among the book's own and the shipped ones. */
export const chosenStyle = (bookId: string, style: string | object): InteriorStyle =>
  typeof style === 'string' ? styleById(style, bookOf(bookId).book.styles) : readStyleDocument(style)

/** Blocks that a sample page can hold at most. */
const SAMPLE_BLOCKS = 24

/** The first chapter's opening page in a style, set from this book's own words. */
export async function samplePage(
  bookId: string,
  editionId: string,
  style: InteriorStyle,
): Promise<PageMarks | undefined> {
  const { book } = bookOf(bookId)
  const e = book.editions.find(x => x.id === editionId)
  const trim = parseTrim(e?.trim ?? '6x9in')!
  const opening =
    book.sections.find(s => s.role === 'chapter' && s.doc.content.length > 1) ??
    book.sections.find(s => !s.made && s.doc.content.length > 0)
  if (!opening) return undefined
  const part = sampleOf(opening)
  const set: Interior = await tools.setter.set({ ...book, sections: [part] }, style, {
    width: trim.width,
    height: trim.height,
    inside: 0,
  })
  return set.pages[set.starts.get(part.id)!]
}

type Section = ReturnType<typeof bookOf>['book']['sections'][number]
const samples = new WeakMap<Section['doc'], Section>()
/** A section's beginning as a section of its own; the same one each time, so that what is set of it is kept. */
function sampleOf(s: Section): Section {
  let sample = samples.get(s.doc)
  if (!sample)
    samples.set(s.doc, (sample = { ...s, doc: { ...s.doc, content: s.doc.content.slice(0, SAMPLE_BLOCKS) } }))
  return sample
}

export async function figuresIn(bookId: string, editionId: string, style: InteriorStyle): Promise<StyleFigures> {
  const chain = tryStyle(bookId, editionId, style)
  return { pages: await chain.get('pages'), spinePt: await chain.get('spine'), cost: (await chain.get('money')).cost }
}

/** How an edition can be made to fit a count of pages. Each try is settled with its own gutter, so that what is offered is what comes. */
export async function fitEdition(bookId: string, editionId: string, target: number): Promise<FitOffer | undefined> {
  const b = bookOf(bookId)
  const e = editionOf(bookId, editionId)
  const own = styleOf(b.book, e)
  const inputs = printInputsOf(b, e, outletOf(e))
  // A setter of its own: what is kept of the edition as it stands must not make room for twenty trials.
  const fitting = { ...tools, setter: new Setter(tools.shelf), ticker: tell }
  return fitTo(own, target, (changes: StyleChanges) =>
    printChain({ ...inputs, style: withChanges(own, changes) }, fitting).get('pages'),
  )
}
