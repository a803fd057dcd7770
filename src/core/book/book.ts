import type { BindingKind, Ink } from '../trade'
import type { CoverDesign, Wrap } from './coverDesign'
import { docPictures, type DocJson, type PictureUse } from './doc'
import type { PagePlan } from './pagePlan'
import type { Recording } from './recordings'
import type { Part, Role } from './roles'
import type { ReviewCopy, Round } from './rounds'

/** A person (or body) who made the book, with a role by the MARC relator code (aut, edt, ill, trl …). */
export interface Contributor {
  name: string
  /** As it sorts: "Fenwright, Orla". */
  sortName?: string
  role: string
}

/** Publisher name and place, kept once and printed on title page, spine and back. */
export interface Imprint {
  name: string
  place?: string
  site?: string
  /** A picture of the book's. */
  logo?: string
  /** The imprint of this library that it says; absent where it is the book's own. */
  kept?: string
}

/** The data of a title that everything uses: title page, listing, ebook, cover. */
export interface TitleData {
  title: string
  subtitle?: string
  series?: { name: string; number?: number }
  contributors: Contributor[]
  /** BCP 47. */
  language: string
  imprint: Imprint
  year?: number
  rights?: string
  description?: string
  /** What is said of the book, each with who says it behind a dash. */
  quotes?: string[]
  subjects: string[]
}

/** How a section follows standing matter: which, and what it said when its words were last taken from there (see matter.ts). */
export interface Following {
  id: string
  said: string
}

/** A section: one run of text with its place in the book. */
export interface Section {
  id: string
  part: Part
  role: Role
  title: string
  subtitle?: string
  /** Counted among its like, where its role is. */
  numbered: boolean
  /** Of a part: the chapters in it count from one. */
  anew?: boolean
  /** Made from the book's data; its doc is not used while this is set. */
  made: boolean
  doc: DocJson
  /** The contents pass over it, though they list its like. */
  unlisted?: boolean
  /** A page that the ebook has and print has not. */
  unprinted?: boolean
  /** Of contents: they list headings inside sections too, of levels 1 to this. */
  depth?: number
  /** Of contents: headings that they leave out, by their block. */
  omits?: string[]
  /** Standing matter that it follows. */
  matter?: Following
  /** A picture over its opening. */
  picture?: { asset: string; alt: string; decoration: boolean }
  /** Why intake proposed it, in plain words; most weighty first. */
  evidence?: string[]
}

/** Pictures that a section uses, in order; one that is made from the book's data has none. */
export const picturesIn = (s: Pick<Section, 'doc' | 'made' | 'picture'>): PictureUse[] => [
  ...(s.picture ? [s.picture] : []),
  ...(s.made ? [] : docPictures(s.doc)),
]

/** A picture or other file of the book; `id` is the SHA-256 of its bytes in hex. */
export interface Asset {
  id: string
  type: 'image/png' | 'image/jpeg' | 'image/gif' | 'image/svg+xml' | 'application/pdf'
  /** Pixels; of a page of a PDF tenths of a point. */
  width: number
  height: number
  name?: string
  /** A page of a PDF that asks for colours, or prints with a font that is not in it. */
  coloured?: true
  lacksFonts?: true
  /** The app made it from another picture of the book: authors are not offered it. */
  made?: true
  /** Ids of what was made of it by cleaning its lines, and how each was. */
  cleaned?: { how: string; id: string }[]
  /** It cannot be decoded: a marked box stands in its place until another is brought in. */
  damaged?: true
}

export type EditionKind = BindingKind | 'ebook'

/** What an ebook has of its own beside the book. */
export interface EbookSettings {
  /** The style's faces go with it, as far as their licences allow. */
  faces?: boolean
  /** The author's own style sheet, behind that of the style. */
  css?: string
  /** Its pages are fixed as they are printed; those of a book of planned pages always are. */
  fixed?: boolean
  /** Its pictures are written anew: each at least so alike (SSIM, to 1), or the whole file no heavier than so many bytes; with no more pixels across than screens have. */
  light?: ({ likeness: number } | { weight: number }) & { across?: number }
}

export type BarcodeWish = 'priced' | 'left clear'

/** One form of the book. Specification, style and price; what follows from them is computed by the chain. */
export interface Edition {
  id: string
  kind: EditionKind
  isbn?: string
  trim?: string
  paper?: string
  ink?: Ink
  outlets: string[]
  /** Id of a style, and this edition's own departures from it by path (see docs/formats.md). */
  style: string
  styleChanges?: Record<string, number | boolean | string>
  /** Departures at one place: by section, the values that its opening has of its own. */
  exceptions?: Record<string, Record<string, number | boolean | string>>
  /** The surface of its cover, by the printer's name for it. */
  finish?: string
  /** The barcode with its price beside it, or its place left clear for the printer's own; as the printer has it where absent. */
  barcode?: BarcodeWish
  /** Its cover, made with another program: it is printed in the place of the book's design. */
  wrap?: Wrap
  /** List prices in minor units, by currency. */
  prices?: Record<string, number>
  /** Pages that the cover was last fitted to, once a package was sent: from then on a refit is the author's act. */
  coverPages?: number
  /** Of ebooks. */
  ebook?: EbookSettings
}

/** What a kept phrase is used for: it heads the title, supports it, fills a slot, or stands in the description. */
export type PhrasePlace = 'headline' | 'support' | 'slot' | 'description'

/** A phrase of the shortlist with the figures that were read for it. */
export interface KeptPhrase {
  phrase: string
  market: string
  /** Searches a month, and buyers a month among them. */
  searches: number
  demand: number
  /** Strength of the first ten titles, 0 to 10. */
  crowding: number
  note?: string
  place?: PhrasePlace
}

/** What an author states for one edition at one outlet, beside the book's own data. */
export interface ListingDraft {
  slots?: string[]
  categories?: string[]
  /** Every right to text, pictures and fonts is the publisher's own or licensed. */
  rights?: boolean
  /** The same page again and again. */
  lowContent?: boolean
  adult?: boolean
  /** Where readers find it there. */
  address?: string
}

/** An interior style as it is kept: read where it is used. */
export interface StyleDocument {
  id: string
  name: string
  [field: string]: unknown
}

/** The cuts that a family of type may have. */
export type FontCut = 'regular' | 'italic' | 'bold' | 'bold-italic'

/** A family of type that the author brought in. `id` is "own-" and a hash of its files, so that one id always means the same letters. */
export interface OwnFamily {
  id: string
  name: string
  /** SHA-256 of each cut's file. */
  files: Partial<Record<FontCut, string>>
}

/** A book that another was begun from, as far as something of it may be left by mistake. */
export interface Earlier {
  title: string
  isbns: string[]
  year?: number
  /** Who made it besides its author. */
  names: string[]
}

/** How many words a book is to have, by when, and on which days it is written. */
export interface Pace {
  target: number
  /** The last day, "2027-03-03"; and the day since which it is planned. */
  by: string
  since: string
  /** Days of the week: 0 Sunday to 6 Saturday. */
  days: number[]
}

/** What a proof-reader is told once, of a book or of all books in a language. */
export interface KeptProof {
  /** Words that are right. */
  words: string[]
  /** Names of doubts that are left as they are: see core/proof. */
  left: string[]
}

export interface Book {
  id: string
  /** A UUID that it keeps for life: its ebooks bear it where they have no ISBN. See uid.ts. */
  uid?: string
  /** The highest number ever given to a section, block or note: see identity.ts. */
  lastId: number
  data: TitleData
  sections: Section[]
  editions: Edition[]
  assets: Asset[]
  /** Sounds and films that its ebooks play. */
  recordings?: Recording[]
  /** One design for all editions; the shipped one of the book's kind where absent. */
  cover?: CoverDesign
  /** Other covers that it was given and that are kept beside. */
  coverDrafts?: CoverDesign[]
  /** A book of planned pages instead of a manuscript. */
  plan?: PagePlan
  /** Styles of the author's own that its editions are set in: documents as in docs/formats.md, so that a project carries them. */
  styles?: StyleDocument[]
  /** Typefaces of the author's own. */
  fonts?: OwnFamily[]
  /** The book of its series that it was begun from, until nothing of that is left by mistake (see nextBook.ts). */
  earlier?: Earlier
  /** The shortlist of phrases. */
  words?: KeptPhrase[]
  /** What its proof-reading was told. */
  proof?: KeptProof
  /** The pace at which it is written. */
  pace?: Pace
  /** What went out to others, and came back. */
  rounds?: Round[]
  /** It is somebody else’s, here to be read. */
  review?: ReviewCopy
  /** By "edition/outlet". */
  listings?: Record<string, ListingDraft>
}

/** Hashes of all files that a book consists of beside its text: pictures, recordings and fonts. */
export const filesOf = (book: Pick<Book, 'assets' | 'recordings' | 'fonts'>): string[] => [
  ...book.assets.map(a => a.id),
  ...(book.recordings ?? []).map(r => r.id),
  ...(book.fonts ?? []).flatMap(f => Object.values(f.files)),
]
