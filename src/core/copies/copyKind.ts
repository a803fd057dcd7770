import type { Book, ImageJson, Section } from '@/core/book'

/** What is taken out, and what its pictures are. */
export interface CopySource {
  book: Book
  /** The written sections that go out, in the book's order. */
  sections: readonly Section[]
  /** A heading over a section as the book prints it. */
  heading: (section: Section) => string
  /** Bytes of a picture; undefined where it is not there. */
  picture: (asset: string) => Uint8Array | undefined
  /** The round on which it goes out to others, and when: what they change is marked then. */
  round?: { id: string; at: number }
}

/** A file that was made. */
export interface CopyFile {
  name: string
  type: string
  bytes: Uint8Array
  /** What the format cannot say, each with how often that was passed over. Words are never among it. */
  lost: readonly { what: string; count: number }[]
}

/** An open format that the text can be taken out in. */
export interface CopyKind {
  id: string
  /** As it is chosen: "Markdown". */
  name: string
  /** What it keeps, for whoever chooses. */
  keeps: string
  make: (source: CopySource) => CopyFile | Promise<CopyFile>
}

/** Counts what a format passes over. */
export class Losses {
  private readonly counts = new Map<string, number>()
  add = (what: string, count = 1): void => void this.counts.set(what, (this.counts.get(what) ?? 0) + count)
  get all(): { what: string; count: number }[] {
    return [...this.counts].map(([what, count]) => ({ what, count }))
  }
}

/** What marks are called where a format has nothing for them. */
export const markNames: Record<string, string> = {
  small_caps: 'passages in small capitals',
  superscript: 'superscripts',
  subscript: 'subscripts',
  strike: 'struck words',
  language: 'passages in another language',
  remark: 'remarks',
  shops: 'names of other books',
  strong: 'bold passages',
  em: 'italic passages',
  link: 'links',
}

/** Counts what neither Markdown nor a plain page says of a picture. */
export function losePicture(losses: Losses, { crop, leads, plays }: ImageJson['attrs']): void {
  if (crop) losses.add('crops: the whole picture stands there')
  if (leads) losses.add('links of pictures')
  if (plays) losses.add('recordings')
}
