import type { Double } from '../activity'
import type { Book, Recording } from '../book'
import type { Cover, CoverGround, Examined } from '../cover'
import type { AccessGap, EpubFinding, LeftOut } from '../epub'
import type { Interior } from '../pages'
import type { OutletProfile, PrintSpec } from '../trade'

/** Everything that rules look at: one edition at one outlet. */
export interface Subject {
  book: Book
  profile: OutletProfile
  /** For print editions. */
  print?: {
    spec: PrintSpec
    interior: Interior
    cover?: Cover
    ground?: CoverGround
    examined?: Examined | undefined
    isbn?: string
    /** List price and the least the outlet allows, minor units. */
    price?: number
    leastPrice?: number
    finish?: string
    /** Runs that have something in common with the author's other books. */
    doubles?: Double[]
  }
  /** For ebooks. */
  ebook?: {
    bytes: number
    /** What of the author's it goes without. */
    leftOut?: LeftOut[]
    /** What the file has against it, as any ebook is looked at. */
    faults?: EpubFinding[]
    /** What keeps readers out. */
    gaps?: AccessGap[]
    front?: { width: number; height: number; bytes?: number }
    /** Recordings that it is without; whether since its pages are fixed. */
    recordingsLeftOut?: Recording[]
    fixed?: boolean
    price?: number
    leastPrice?: number
  }
}
