import { ebookPackage, type MadePackage, printPackage } from '@/core/chain'
import { blankPages, coverTemplateFiles, interiorFile, type InteriorFileKind, type NamedFile } from '@/core/delivery'
import { wrapOn } from '@/core/cover'
import { Fault, type Progress, type Ticker } from '@/core/trade'
import { chainOf, ebookOf, editionOf, tools } from '../chains'
import { handedFile, handedOver } from '../handing'
import { bookOf } from '../openBooks'
import { ports, today } from '../ports'
import { tell } from '../telling'

/** What is made of an edition to be handed on, and the package that goes to an outlet. */
export const delivery = {
  /** The interior as a file to look at, to hand on, or for a press; of one section only, where one is named. */
  async interiorFile(bookId: string, editionId: string, kind: InteriorFileKind, section?: string, ppi?: number) {
    const chain = chainOf(bookId, editionId)
    const { trim, ink } = await chain.get('spec')
    const parts = {
      book: await chain.get('text'),
      interior: await chain.get('interior'),
      trim,
      grey: ink !== 'colour',
      kind,
      date: today(),
      ...(section === undefined ? {} : { section }),
      ...(ppi === undefined ? {} : { ppi }),
    }
    return handedFile(await interiorFile(parts, tools.shelf, ports, tell))
  },

  /** Blank templates for this edition, in a ZIP. */
  async templates(bookId: string, editionId: string): Promise<NamedFile> {
    const chain = chainOf(bookId, editionId)
    const parts = {
      interior: await chain.get('interior'),
      profile: await chain.get('profile'),
      spec: await chain.get('spec'),
      pages: await chain.get('pages'),
      date: today(),
    }
    return handedFile(await blankPages(parts, tools.shelf, ports))
  },

  /** The empty flat of the cover with its zones and a sheet of settings, in a ZIP. */
  async coverTemplate(bookId: string, editionId: string, outletId?: string): Promise<NamedFile> {
    const chain = chainOf(bookId, editionId, outletId)
    const [flat, wrap] = [await chain.get('flat'), await chain.get('ownWrap')]
    const made = wrap && {
      sheets: wrapOn(wrap, flat, bookOf(bookId).book.assets),
      findings: await chain.get('findings'),
    }
    const parts = {
      title: bookOf(bookId).book.data.title,
      flat,
      ...(made ? { made } : {}),
      profile: await chain.get('profile'),
      spec: await chain.get('spec'),
      date: today(),
    }
    return handedFile(await coverTemplateFiles(parts, tools.shelf, ports))
  },

  /** Makes the package; `report` hears how far it is and may answer false to stop it. */
  async pack(
    bookId: string,
    editionId: string,
    outletId: string,
    report: (p: Progress) => Promise<boolean> | boolean,
  ): Promise<MadePackage> {
    const { book } = bookOf(bookId)
    const e = editionOf(bookId, editionId)
    const ticker = stoppable(report)
    const made =
      e.kind === 'ebook'
        ? await ebookPackage(book, e, ebookOf(bookId, editionId, outletId), ports, ticker)
        : await printPackage(book, e, chainOf(bookId, editionId, outletId), ports, ticker)
    return handedOver(made, [new Map([['zip', made.zip]])])
  },
}

/** How often a step within a stage is reported, milliseconds. */
const OFTEN = 40

function stoppable(report: (p: Progress) => Promise<boolean> | boolean): Ticker {
  let last = 0
  return async p => {
    const now = performance.now()
    if (now - last < OFTEN && !Number.isInteger(p.done)) return
    last = now
    if (!(await report(p))) throw new Fault('cancelled', 'Stopped before the package was made.')
  }
}
