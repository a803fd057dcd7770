import { type Book, draftOf, type Edition, specOf, USUAL_SPEC } from '../book'
import { type CoverDesign, flatFor, lampOverTide, rows } from '../cover'
import { currenciesOf } from '../outlets'
import { type InteriorStyle, styleById, withChanges } from '../pages'
import { type OutletProfile, type PrintSpec, parseTrim } from '../trade'
import type { EbookInputs } from './ebookChain'
import type { SharedInputs } from './inputs'
import type { PrintInputs } from './printChain'

/** Where the chains of an edition take their inputs from. */
export interface EditionSource {
  /** The book as it is. */
  book: Book
  /** The same as far as pages and ebook read it: one object while only prices or listings change. */
  text: Book
  edition: Edition
  profile: OutletProfile
  /** The day that files are dated. */
  date: string
}

/** Pages of a paperback that is only a ground for a front. */
const ANY_PAGES = 200

export const styleOf = (book: Pick<Book, 'styles'>, e: Edition): InteriorStyle =>
  withChanges(styleById(e.style, book.styles), e.styleChanges)

/** The design that a book has, or begins with. */
export const designOf = (book: Pick<Book, 'cover' | 'plan'>): CoverDesign =>
  book.cover ?? (book.plan ? rows : lampOverTide)

const shared = ({ book, text, edition, profile, date }: EditionSource): SharedInputs => ({
  text,
  data: book.data,
  assets: book.assets,
  design: designOf(book),
  profile,
  isbn: edition.isbn,
  price: edition.prices?.[profile.currency],
  otherPrices: otherPrices(edition, profile),
  draft: draftOf(book, edition.id, profile.id),
  date,
})

/** The prices that an edition has in the further currencies of an outlet; undefined where there are none. */
function otherPrices({ prices = {} }: Edition, profile: OutletProfile): Record<string, number> | undefined {
  const others = currenciesOf(profile).filter(c => c !== profile.currency && prices[c] !== undefined)
  return others.length ? Object.fromEntries(others.map(c => [c, prices[c]!])) : undefined
}

/** The inputs of a print edition's chain. `others`: the other outlets that it goes to. */
export function printInputs(source: EditionSource, others: OutletProfile[]): PrintInputs {
  const { book, edition } = source
  const { trim, paper, ink, finish, barcode, wrap, coverPages, exceptions } = edition
  return {
    ...shared(source),
    others,
    style: styleOf(book, edition),
    spec: specOf(edition),
    stated: { trim, paper, ink, ...(barcode ? { barcode } : {}), ...(wrap ? { wrap } : {}) },
    finish,
    barcode,
    ownWrap: wrap,
    coverPages,
    exceptions,
  }
}

/** The inputs of an ebook's chain. `printer`: an outlet on whose paperback a front is drawn where the book is not printed. */
export const ebookInputs = (source: EditionSource, printer: OutletProfile): EbookInputs => ({
  ...shared(source),
  ownStyle: styleOf(source.book, source.edition),
  settings: source.edition.ebook,
  plainFlat: flatFor(printer, { ...plainSpec(printer), pages: ANY_PAGES }),
})

/** The usual paperback, as far as a printer makes it. */
function plainSpec(printer: OutletProfile): PrintSpec {
  const papers = printer.print?.papers.map(p => p.id) ?? []
  const trims = printer.print?.bindings.find(b => b.kind === USUAL_SPEC.binding)?.trims ?? []
  return {
    ...USUAL_SPEC,
    paper: papers.includes(USUAL_SPEC.paper) ? USUAL_SPEC.paper : papers[0]!,
    trim: trims.includes(USUAL_SPEC.trim) ? USUAL_SPEC.trim : (trims.find(t => parseTrim(t)) ?? USUAL_SPEC.trim),
  }
}
