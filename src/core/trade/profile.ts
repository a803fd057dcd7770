import { array, boolean, type InferType, lazy, mixed, number, object, string } from 'yup'
import { Fault } from './fault'
import { strangeKey } from './keys'
import { once } from './once'
import { currentProfile } from './profileMigration'

/**
 * The outlet profile: an open JSON document that says all an outlet asks and pays. Four ship with the app; an author
 * enters the real figures of the printers and shops they use. Lengths are strings with a unit ("0.125 in", "3 mm"),
 * rates are decimal strings, amounts are whole minor units (cents). Documented in docs/formats.md.
 */
const length = () =>
  string().matches(/^\d+(\.\d+)?\s*(in|mm|pt)$/, '${path} wants a length such as "0.125 in" or "3 mm"')
const rate = () => string().matches(/^\d{1,9}(\.\d{1,9})?$/, '${path} wants a decimal such as "1.25"')
const amount = () => number().integer().min(0).max(1e9)
const pages = () => number().integer().min(1).max(10000)

/** Inside margin: by bands of pages, or by a line rounded up to a step. */
const insideMargin = () =>
  lazy((v: unknown) =>
    v && typeof v === 'object' && 'bands' in v
      ? object({
          bands: array(object({ upTo: pages().required(), margin: length().required() }).noUnknown())
            .min(1)
            .required(),
        }).noUnknown()
      : object({ base: length().required(), aPage: length().required(), step: length().required() }).noUnknown(),
  )
export type InsideMargin = { bands: { upTo: number; margin: string }[] } | { base: string; aPage: string; step: string }

/** Bleed of a cover: the same on all edges, or on each; `inner` is the one along the holes of two sheets. */
const coverBleed = () =>
  lazy((v: unknown) =>
    v && typeof v === 'object'
      ? object({
          top: length().required(),
          bottom: length().required(),
          outer: length().required(),
          inner: length().default('0 in'),
        }).noUnknown()
      : length(),
  )
export type CoverBleed = string | { top: string; bottom: string; outer: string; inner: string }

const paper = () =>
  object({ id: string().required(), name: string().required(), caliper: length().required() }).noUnknown()

/** A surface of the cover. Where `bindings` is absent it is offered for all. */
const finish = () => object({ name: string().max(40).required(), bindings: array(string().required()) }).noUnknown()

/** A printed proof, ordered before the sale. */
const proof = () =>
  object({
    /** Print is put on sale only when a proof of these very files was approved. */
    wanted: boolean().required(),
    /** Days until it arrives. */
    days: object({ least: number().min(0).max(365).required(), most: number().min(0).max(365).required() })
      .noUnknown()
      .required(),
  }).noUnknown()

const inkCost = () =>
  object({
    ink: string().oneOf(['black', 'colour']).required(),
    /** Papers this line holds for; all, where absent. */
    papers: array(string().required()),
    fixed: rate().required(),
    aPage: rate().required(),
  }).noUnknown()

const bindingSchema = () =>
  object({
    kind: string().oneOf(['paperback', 'coil', 'saddle', 'case']).required(),
    trims: array(string().required()).min(1).required(),
    leastPages: pages().required(),
    mostPages: pages().required(),
    pageMultiple: number().integer().min(1).max(64).required(),
    extraCost: rate().default('0'),
    coverBleed: coverBleed() as unknown as ReturnType<typeof mixed<CoverBleed>>,
    /** What has no spine may be printed as two sheets, back and front apart; it is one where this says nothing. */
    coverSheets: string().oneOf(['one', 'two'] as const),
    /** The strip along the holes of a coil that stays bare. */
    holes: length(),
    insideMargin: mixed<InsideMargin>(),
    case: object({
      wrap: length().required(),
      hinge: length().required(),
      overhang: length().required(),
      boards: length().required(),
    })
      .noUnknown()
      .default(undefined)
      .optional(),
  }).noUnknown()

const printSchema = () =>
  object({
    papers: array(paper()).min(1).required(),
    bindings: array(bindingSchema()).min(1).required(),
    bleed: length().required(),
    bleedEdges: number().oneOf([3, 4]).required(),
    /** From the trim, what means something; of interiors with bleed it may be another. */
    safe: length().required(),
    safeWithBleed: length().required(),
    insideMargin: insideMargin() as unknown as ReturnType<typeof mixed<InsideMargin>>,
    spineTextFrom: pages().required(),
    spineClear: length().required(),
    /** How far a fold may lie beside its place. */
    drift: length(),
    finishes: array(finish()).min(1).required(),
    play: object({ silent: length().required(), remark: length().required() }).noUnknown().required(),
    barcode: string().oneOf(['back, lower right', 'back, lower left', 'printer leaves it']).required(),
    /** Whose barcode stands there: the author's in the file, or the printer's own on a place that is left clear. */
    barcodeBy: string().oneOf(['author', 'printer'] as const),
    costs: array(inkCost()).min(1).required(),
    leastPpi: number().integer().min(72).max(1200).required(),
    interiorMb: number().min(1).required(),
    coverMb: number().min(1).required(),
    pdf: string().oneOf(['plain', 'pdf/x-1a prepared']).required(),
    /** What colours of its files are in; where it does not say, inks for PDF/X-1a and as on a screen otherwise. */
    colour: string().oneOf(['rgb', 'cmyk'] as const),
    /** The most ink in one place, per cent of a whole one. */
    inkLimit: number().integer().min(100).max(400),
    proof: proof().default(undefined).optional(),
  }).noUnknown()

/** A way on which print is sold. */
const channel = () =>
  object({
    channel: string().required(),
    share: rate().required(),
    /** The share for low-content books, where it is another. */
    lowContentShare: rate(),
    /** Low-content books are not sold on it. */
    closedToLowContent: boolean(),
  }).noUnknown()

const royaltySchema = () =>
  object({
    /** Print: share of (list − tax) less the print cost, for each channel; the outlet's own first. */
    print: array(channel()).default([]),
    /** Ebook: the share of the first band whose `upTo` is not below the list price; open-ended where `upTo` is absent. */
    ebook: array(object({ upTo: amount(), share: rate().required() }).noUnknown()).default([]),
    /** Delivery, minor units a megabyte (10⁶ bytes) after the first `freeMb`. */
    delivery: object({ aMb: rate().required(), freeMb: rate().required() }).noUnknown().default(undefined).optional(),
    /** Least ebook price: `fixed` + `aMbBegun` for each megabyte begun. */
    leastEbook: object({ fixed: amount().required(), aMbBegun: amount().required() })
      .noUnknown()
      .default(undefined)
      .optional(),
  }).noUnknown()

const ebookSchema = () =>
  object({
    epubMb: number().min(1).required(),
    frontLeast: number().integer().min(100).required(),
    frontMost: number().integer().max(20000).required(),
    /** How heavy a front picture may be; any weight, where it is not said. */
    frontMb: number().min(0.1).max(1000),
    /** The file has a page with the cover, unless this says no: shops that put one before the text themselves want none. */
    coverPage: boolean(),
    /** The contents can be read as a page, beside what readers show of them by themselves; unless this says no. */
    contentsPage: boolean(),
    /** Faces that a file carries are shown, unless this says no. */
    faces: boolean(),
    /** Hosts in the web that links in the file may lead to: its own shop, or none; any, where it is not said. */
    linksTo: array(string().required()).default(undefined).optional(),
    /** Recordings that a file may have; none, where it is not said. */
    plays: array(
      string()
        .oneOf(['sound', 'film'] as const)
        .required(),
    )
      .default(undefined)
      .optional(),
    /** How its own readers show every book: in greys alone; in a face of theirs, with or without serifs. */
    shows: object({ greys: boolean(), face: string().oneOf(['serif', 'plain'] as const) })
      .noUnknown()
      .default(undefined)
      .optional(),
  }).noUnknown()

const listingSchema = () =>
  object({
    title: number().integer(),
    titleAndSubtitle: number().integer(),
    description: number().integer(),
    keywordSlots: object({ count: number().integer().required(), characters: number().integer().required() })
      .noUnknown()
      .default(undefined)
      .optional(),
    keywordCharacters: number().integer(),
    keywordCount: number().integer(),
    categories: object({
      system: string().oneOf(['own', 'thema']).required(),
      least: number().integer().required(),
      most: number().integer().required(),
    })
      .noUnknown()
      .default(undefined)
      .optional(),
    /** Categories that a low-content book may have at most, where they are fewer. */
    lowContentCategories: number().integer(),
    /** Books for adults only: sold as others are, apart from them, or refused. */
    adults: string().oneOf(['sold', 'apart', 'refused']).default('sold'),
    neverChanged: array(string().required()).default([]),
  }).noUnknown()

/** What a revision of a title on sale costs, minor units. */
const revisionsSchema = () =>
  object({
    fee: amount().required(),
    /** So many a calendar year are free; all, where the fee is 0. */
    freeAYear: number().integer().min(0).max(1000),
    /** What a change of where the title is sold costs. */
    reachFee: amount(),
  }).noUnknown()

/** Other shops that the outlet brings a title to. */
const reachSchema = () =>
  object({
    /** The channel that they pay on; the outlet's only one where absent. */
    channel: string(),
    shops: array(string().required()).min(1).required(),
    /** Each shop can be left out by itself. */
    each: boolean().required(),
  }).noUnknown()

/** A country or region that the outlet sells in: what it is paid in, and the tax inside its list prices. */
const territory = () =>
  object({
    code: string()
      .matches(/^[A-Z]{2}$/, '${path} wants two capitals such as "GB"')
      .required(),
    name: string().max(60).required(),
    currency: string()
      .matches(/^[A-Z]{3}$/, '${path} wants three capitals such as "USD"')
      .required(),
    vat: rate().required(),
  }).noUnknown()

/** The columns of the outlet's statements, by what stands in them. */
const columnName = () => string().max(60).required()
const statementSchema = () =>
  object({
    month: columnName(),
    title: columnName(),
    edition: columnName(),
    units: columnName(),
    royalty: columnName(),
    currency: columnName(),
  }).noUnknown()

const reviewSchema = () =>
  object({
    first: object({ least: number().min(0).required(), most: number().min(0).required() })
      .noUnknown()
      .required(),
    revision: object({ least: number().min(0).required(), most: number().min(0).required() })
      .noUnknown()
      .required(),
  }).noUnknown()

/** The version of the document; earlier ones are brought up to it when they are read. */
export const PROFILE_VERSION = 2

/** Made when a document is first read: no start of the program needs it. */
export const profileSchema = once(() =>
  object({
    format: string().oneOf(['porchlight-outlet']).required(),
    version: number().oneOf([PROFILE_VERSION]).required(),
    id: string()
      .matches(/^[a-z0-9-]{1,40}$/, 'id wants small letters, figures and hyphens')
      .required(),
    name: string().max(80).required(),
    kind: string().max(80).required(),
    /** What its costs, fees and ebook bands are said in. */
    currency: string()
      .matches(/^[A-Z]{3}$/)
      .required(),
    /** Minor units of that currency × this = minor units there. */
    exchange: object().test(
      'rates',
      'exchange wants decimals by currency',
      v => !v || Object.entries(v).every(([c, x]) => /^[A-Z]{3}$/.test(c) && rate().isValidSync(x)),
    ) as unknown as ReturnType<typeof mixed<Record<string, string>>>,
    /** Where it sells; the first is at home. */
    territories: array(territory()).min(1).required(),
    print: printSchema().default(undefined).optional(),
    ebook: ebookSchema().default(undefined).optional(),
    royalty: royaltySchema().required(),
    listing: listingSchema().required(),
    review: reviewSchema().required(),
    revisions: revisionsSchema().required(),
    reach: reachSchema().default(undefined).optional(),
    /** It pays several payees of a title. */
    payees: boolean().default(false),
    /** Whose ISBN it takes. */
    isbn: array(string().oneOf(['own', 'given']).required()).default(['own']),
    statement: statementSchema().required(),
    /** For the author's eye alone: no rule is read out of them. */
    notes: array(string().required()).default([]),
  }).noUnknown(),
)

type Read = InferType<ReturnType<typeof profileSchema>>
export type OutletProfile = Omit<Read, 'print' | 'ebook' | 'exchange'> & {
  print?: PrintRules
  ebook?: EbookRules
  exchange?: Record<string, string>
}
export type Territory = Read['territories'][number]
export type StatementColumns = Read['statement']
export type Channel = InferType<ReturnType<typeof channel>>
export type PrintRules = InferType<ReturnType<typeof printSchema>>
export type EbookRules = InferType<ReturnType<typeof ebookSchema>>
export type BindingRules = InferType<ReturnType<typeof bindingSchema>>
export type BindingKind = BindingRules['kind']
export type Ink = 'black' | 'colour'

/** Reads a profile document of this or an earlier version. Throws a Fault that names the field which is wrong. */
export function readProfile(document: unknown): OutletProfile {
  const data = currentProfile(document)
  const strange = strangeKey(data)
  if (strange)
    throw new Fault(
      'profile',
      `This outlet profile cannot be read: it has “${strange.key}”, which is nothing a profile has.`,
    )
  try {
    return profileSchema().validateSync(data, { strict: false, stripUnknown: false }) as OutletProfile
  } catch (e) {
    throw new Fault('profile', `This outlet profile cannot be read: ${(e as Error).message.split('\n')[0]}`)
  }
}
