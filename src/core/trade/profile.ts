import { array, type InferType, lazy, mixed, number, object, string } from 'yup'
import { Fault } from './fault'
import { strangeKey } from './keys'

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
const insideMargin = lazy((v: unknown) =>
  v && typeof v === 'object' && 'bands' in v
    ? object({
        bands: array(object({ upTo: pages().required(), margin: length().required() }).noUnknown())
          .min(1)
          .required(),
      }).noUnknown()
    : object({ base: length().required(), aPage: length().required(), step: length().required() }).noUnknown(),
)
export type InsideMargin = { bands: { upTo: number; margin: string }[] } | { base: string; aPage: string; step: string }

const paper = object({ id: string().required(), name: string().required(), caliper: length().required() }).noUnknown()

const inkCost = object({
  ink: string().oneOf(['black', 'colour']).required(),
  /** Papers this line holds for; all, where absent. */
  papers: array(string().required()),
  fixed: rate().required(),
  aPage: rate().required(),
}).noUnknown()

const bindingSchema = object({
  kind: string().oneOf(['paperback', 'coil', 'saddle', 'case']).required(),
  trims: array(string().required()).min(1).required(),
  leastPages: pages().required(),
  mostPages: pages().required(),
  pageMultiple: number().integer().min(1).max(64).required(),
  extraCost: rate().default('0'),
  coverBleed: length(),
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
  coverAs: string().oneOf(['one sheet', 'two pages']).default('one sheet'),
}).noUnknown()

const printSchema = object({
  papers: array(paper).min(1).required(),
  bindings: array(bindingSchema).min(1).required(),
  bleed: length().required(),
  bleedEdges: number().oneOf([3, 4]).required(),
  safe: length().required(),
  safeWithBleed: length().required(),
  insideMargin: insideMargin as unknown as ReturnType<typeof mixed<InsideMargin>>,
  spineTextFrom: pages().required(),
  spineClear: length().required(),
  finishes: array(string().required()).min(1).required(),
  play: object({ silent: length().required(), remark: length().required() }).noUnknown().required(),
  barcode: string().oneOf(['back, lower right', 'back, lower left', 'printer leaves it']).required(),
  costs: array(inkCost).min(1).required(),
  leastPpi: number().integer().min(72).max(1200).required(),
  interiorMb: number().min(1).required(),
  coverMb: number().min(1).required(),
  pdf: string().oneOf(['plain', 'pdf/x-1a prepared']).required(),
}).noUnknown()

const royaltySchema = object({
  /** Print: share of (list − tax) less the print cost, for each channel. */
  print: array(object({ channel: string().required(), share: rate().required() }).noUnknown()).default([]),
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

const ebookSchema = object({
  epubMb: number().min(1).required(),
  frontLeast: number().integer().min(100).required(),
  frontMost: number().integer().max(20000).required(),
}).noUnknown()

const listingSchema = object({
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
  neverChanged: array(string().required()).default([]),
}).noUnknown()

const reviewSchema = object({
  first: object({ least: number().min(0).required(), most: number().min(0).required() })
    .noUnknown()
    .required(),
  revision: object({ least: number().min(0).required(), most: number().min(0).required() })
    .noUnknown()
    .required(),
}).noUnknown()

export const profileSchema = object({
  format: string().oneOf(['porchlight-outlet']).required(),
  version: number().oneOf([1]).required(),
  id: string()
    .matches(/^[a-z0-9-]{1,40}$/, 'id wants small letters, figures and hyphens')
    .required(),
  name: string().max(80).required(),
  kind: string().max(80).required(),
  currency: string()
    .matches(/^[A-Z]{3}$/)
    .required(),
  /** Minor units of the base currency × this = minor units there. */
  exchange: object().test(
    'rates',
    'exchange wants decimals by currency',
    v => !v || Object.values(v).every(x => rate().isValidSync(x)),
  ),
  /** VAT by territory, included in the list price. */
  vat: object().test(
    'rates',
    'vat wants decimals by territory',
    v => !v || Object.values(v).every(x => rate().isValidSync(x)),
  ),
  print: printSchema.default(undefined).optional(),
  ebook: ebookSchema.default(undefined).optional(),
  royalty: royaltySchema.required(),
  listing: listingSchema.required(),
  review: reviewSchema.required(),
  shops: array(string().required()).default([]),
  notes: array(string().required()).default([]),
}).noUnknown()

export type OutletProfile = Omit<InferType<typeof profileSchema>, 'print' | 'ebook'> & {
  print?: PrintRules
  ebook?: EbookRules
}
export type PrintRules = InferType<typeof printSchema>
export type EbookRules = InferType<typeof ebookSchema>
export type BindingRules = InferType<typeof bindingSchema>
export type BindingKind = BindingRules['kind']
export type Ink = 'black' | 'colour'

/** Reads a profile document. Throws a Fault that names the field which is wrong. */
export function readProfile(data: unknown): OutletProfile {
  const strange = strangeKey(data)
  if (strange)
    throw new Fault(
      'profile',
      `This outlet profile cannot be read: it has “${strange.key}”, which is nothing a profile has.`,
    )
  try {
    return profileSchema.validateSync(data, { strict: false, stripUnknown: false }) as OutletProfile
  } catch (e) {
    throw new Fault('profile', `This outlet profile cannot be read: ${(e as Error).message.split('\n')[0]}`)
  }
}
