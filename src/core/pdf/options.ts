import type { Separation } from '../ink'
import type { Deflate } from './deflate'
import type { PictureSource } from './images'
import type { OutlineItem } from './outline'
import type { Subsetter } from './subset'
import type { TagSource } from './tags'

export interface PdfOptions {
  title: string
  author?: string
  language: string
  /** ISO 8601, UTC: dates are inputs. */
  date: string
  /** Pictures are made grey, as black books want. */
  grey: boolean
  /** Colours are written as a press's four inks; as on a screen where it is absent. */
  inks?: Separation
  /**
   * Prepared for a standard of exchange: PDF/X-1a:2003 (ISO 15930-4), for black books and what is in inks, or PDF/X-4 (ISO 15930-7). No checker here
   * certifies it. Such files carry no links, and say what their greys or colours mean.
   */
  preparedFor?: 'X-1a' | 'X-4'
  /** Pictures with more pixels an inch than this are made smaller. */
  ppi?: number
  /** The page of each section and block that something leads to, by id. No links are written without it, nor where a standard forbids them. */
  linkPages?: ReadonlyMap<string, number>
  /** Says what each part is, in reading order, for those who do not see it. Left out where a standard of exchange is prepared for. */
  tags?: TagSource
  /** Named places for the outline. */
  outline?: OutlineItem[]
}

/** What writing a PDF asks of the world. */
export interface PdfPorts {
  subsetter: Subsetter
  pictures: PictureSource
  deflate: Deflate
}
