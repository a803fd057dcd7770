import { type EbookInputs, ebookInputs, type EditionSource, type PrintInputs, printInputs } from '@/core/chain'
import type { Edition } from '@/core/book'
import { homeOutlet } from '@/core/outlets'
import type { OutletProfile } from '@/core/trade'
import type { OpenedBook } from './openBooks'
import { knownOutlets, outlet } from './outlets'
import { today } from './ports'

const sourceOf = ({ book, text }: OpenedBook, edition: Edition, profile: OutletProfile): EditionSource => ({
  book,
  text,
  edition,
  profile,
  date: today(),
})

export const printInputsOf = (b: OpenedBook, e: Edition, outletId: string): PrintInputs =>
  printInputs(
    sourceOf(b, e, outlet(outletId)),
    knownOutlets().filter(p => p.id !== outletId && e.outlets.includes(p.id)),
  )

export const ebookInputsOf = (b: OpenedBook, e: Edition, outletId: string): EbookInputs =>
  ebookInputs(
    sourceOf(b, e, outlet(outletId)),
    outlet(homeOutlet({ ...e, kind: 'paperback', outlets: [] }, knownOutlets())),
  )
