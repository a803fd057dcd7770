// First: its fonts are fetched while the rest is read.
import './fontShelf'
import * as Comlink from 'comlink'
import { plannedPages } from '@/core/activity'
import type { Library, Project } from '@/core/archive'
import { type Book, docWords, labels, shortName } from '@/core/book'
import type { Finding } from '@/core/check'
import { type Cover, type CoverDesign, type Flat, frontPage, type SetPiece } from '@/core/cover'
import type { Understood } from '@/core/intake'
import { ebookMoney, leastEbookPrice, type ListingSnapshot, type Submission } from '@/core/outlets'
import {
  boxOn,
  findOnPage,
  type FitOffer,
  type InteriorStyle,
  lendersOf,
  type Lent,
  type LineAsSet,
  linesOf,
  type PageBox,
  pageOf,
  placeAt,
  type TextPlace,
  type UnmetAt,
  wordAt,
} from '@/core/pages'
import {
  bindingRules,
  Fault,
  insideMargin,
  type OutletProfile,
  printRules,
  type Progress,
  pts,
  roundPages,
} from '@/core/trade'
import { type ReadFont, readFont } from '@/core/type'
import { canBeShown, lookOver } from './door'
import { draw, type Part, withBleed } from './draw'
import './faults'
import { wantsOriginals, withOriginals, withPreviews } from './pictureShelf'
import { tell, tellTo } from './telling'
import { firstLook, forget, shown } from './firstLook'
import { chosenStyle, figuresIn, fitEdition, samplePage, type StyleFigures } from './styles'
import { interiorFile, type InteriorFileKind, templateFiles } from './interiorFiles'
import { bookOf, type BookUpdate, chainOf, closeBook, designOf, openBook, outlet, useProfiles } from './openBooks'
import { coverOf, epubOf, findingsOf, frontAtOnce, makePackage, snapshotOf } from './package'

/** The press: the core in a worker. A thin entry; what it answers is computed by the core. */

/** What the shelf shows of an edition. */
export interface EditionOutlook {
  id: string
  kind: string
  trim?: string
  pages?: number
  spinePt?: number
  outlets: string[]
  /** Findings that stop, and what the first asks. */
  stops: number
  asks?: string
}

/** The live figures of an edition at one outlet; print and ebook have their own. */
export interface Figures {
  edition: string
  outletId: string
  outlet: string
  kind: string
  currency: string
  price?: number
  royalty?: number
  leastPrice: number
  /** Worked out in a line, for whoever clicks a figure. */
  worked: Record<string, string>
  pages?: number
  spinePt?: number
  wrap?: { width: number; height: number }
  /** Minor units. */
  cost?: number
  epubBytes?: number
  findings: Finding[]
}

/** What a view of the pages needs to know before it paints any. */
export interface Leaves {
  /** Points. */
  width: number
  height: number
  style: InteriorStyle
  /** Sections that have pages. */
  starts: string[]
  pages: {
    label: string
    blank: boolean
    /** Title and id of the section that opens here. */ opens?: string
    section?: string
    /** How much text stands on it: runs of glyphs. */ runs: number
  }[]
  /** The text block on a recto, and the outlet's safe zone from the trim. */
  block: { x: number; y: number; width: number; height: number }
  outside: number
  safe: number
  /** Wishes that could not be met, and what the typeface lacks. */
  unmetAt: UnmetAt[]
  lent: Lent[]
  /** Characters that other families lend, by family. */
  borrowed: { from: string; characters: string[] }[]
  /** The least inside margin that the outlet asks at this count. */
  insideAsked: number
}

export interface Outlook {
  words: number
  /** Pages of a plan. */
  planned: number
  editions: EditionOutlook[]
}

/** The cover as a view needs it. */
export interface CoverView {
  flat: Flat
  pieces: SetPiece[]
  barcode: Cover['barcode']
  design: CoverDesign
}

const api = {
  /** Who hears how far long work has come. */
  tellTo(report: (p: Progress) => void): void {
    tellTo(report)
  },

  /** Outlets of the author's own. */
  setProfiles(own: OutletProfile[]): void {
    useProfiles(own)
  },

  readProject(bytes: Uint8Array): Promise<Project> {
    return plainly(f => f.readProject(bytes))
  },

  async writeProject(p: Project): Promise<Uint8Array> {
    const bytes = await plainly(f => f.writeProject(p))
    return Comlink.transfer(bytes, [bytes.buffer])
  },

  async readLibrary(file: Blob): Promise<Library> {
    const bytes = await bytesOf(file)
    const library = await plainly(f => f.readLibrary(bytes, tell))
    const books: Library['books'] = []
    for (const b of library.books) {
      const { book, pictures } = await lookOver(b.project.book, b.project.pictures, tell)
      // A book whose files are all sound is the very same.
      books.push({ ...b, project: { book, pictures } })
    }
    return handedOver({ ...library, books }, [...books.map(b => b.project.pictures), library.packages, library.parts])
  },

  async writeLibrary(l: Library): Promise<Uint8Array> {
    const bytes = await plainly(f => f.writeLibrary(l, tell))
    return Comlink.transfer(bytes, [bytes.buffer])
  },

  /** A manuscript or a project file, whichever it is. `salvage`: take what can be saved of a damaged one. */
  async readFile(
    file: File,
    salvage = false,
  ): Promise<Pick<Understood, 'book' | 'pictures' | 'dropped' | 'cleaned' | 'isbn'> & { project: boolean }> {
    const lost: string[] = []
    const { name } = file
    const bytes = await bytesOf(file)
    const read = await plainly(f => {
      if (!f.isProject(bytes)) return { ...f.readManuscript(name, bytes, undefined, tell, salvage), project: false }
      return {
        ...f.readProject(bytes, {
          report: tell,
          ...(salvage ? { salvage: (what: string) => void lost.push(what) } : {}),
        }),
        dropped: [],
        cleaned: [],
        project: true,
      }
    })
    const { book, pictures, said } = await lookOver(read.book, read.pictures, tell)
    const dropped = [
      ...read.dropped,
      ...said,
      ...(lost.length ? [{ what: 'parts of the damaged file', count: lost.length, places: lost.slice(0, 5) }] : []),
    ]
    return handedOver({ ...read, book, pictures, dropped }, [pictures])
  },

  /** Whether a picture that is brought in can be decoded. */
  checkPicture(id: string, bytes: Uint8Array): Promise<boolean> {
    return canBeShown(id, bytes)
  },

  /** A font that an author brings in: what it is, or why it cannot be used. */
  readFont(bytes: Uint8Array): Promise<ReadFont> {
    return readFont(bytes)
  },

  /** The front cover of an open book as a picture, for the shelf: at once, before its pages are set. */
  async front(bookId: string): Promise<Blob | undefined> {
    if (!bookOf(bookId).book.editions.length) return undefined
    const cover = await frontAtOnce(bookId)
    if (!cover) return undefined
    const page = frontPage(cover)
    return withPreviews([page], pictures => draw(page, 240 / page.height, pictures)).then(c =>
      c.convertToBlob({ type: 'image/png' }),
    )
  },

  /** Words, pages and findings of an open book: what follows from it, for the shelf. */
  async outlook(bookId: string): Promise<Outlook> {
    const { book } = bookOf(bookId)
    const words = book.sections.reduce((n, s) => n + (s.made ? 0 : docWords(s.doc)), 0)
    const out: Outlook = { words, planned: book.plan ? plannedPages(book.plan) : 0, editions: [] }
    for (const e of book.editions) {
      if (e.kind === 'ebook') {
        const stop = words
          ? (await findingsOf(bookId, e, e.outlets[0] ?? 'ostrevane')).filter(f => f.severity === 'stop')
          : []
        const asks = words ? stop[0]?.message : 'Write something first'
        out.editions.push({
          id: e.id,
          kind: e.kind,
          outlets: e.outlets,
          stops: words ? stop.length : 1,
          ...(asks ? { asks } : {}),
        })
        continue
      }
      const chain = chainOf(bookId, e.id)
      const findings = await chain.get('findings')
      const first = findings.find(f => f.severity !== 'remark')
      out.editions.push({
        id: e.id,
        kind: e.kind,
        trim: e.trim,
        pages: await chain.get('pages'),
        spinePt: await chain.get('spine'),
        outlets: e.outlets,
        stops: findings.filter(f => f.severity === 'stop').length,
        ...(first ? { asks: first.message } : {}),
      })
    }
    return out
  },

  /** Opens a book at the press, or brings it up to date; what did not change is not computed again. */
  open: (update: BookUpdate): Promise<void> => openBook(update),
  close(bookId: string): void {
    closeBook(bookId)
    forget(bookId)
  },

  async figures(bookId: string, editionId: string, outletId?: string): Promise<Figures> {
    const { book } = bookOf(bookId)
    const e = editionOf(book, editionId)
    const at = outletId ?? e.outlets[0] ?? 'ostrevane'
    const profile = outlet(at)
    const base = { edition: e.id, outletId: at, outlet: profile.name, kind: e.kind, currency: profile.currency }
    const findings = await findingsOf(bookId, e, at)
    if (e.kind === 'ebook') {
      const bytes = (await epubOf(bookId, e, profile)).bytes.length
      const money = e.price === undefined ? undefined : ebookMoney(profile, e.price, bytes)
      return {
        ...base,
        leastPrice: leastEbookPrice(profile, bytes),
        epubBytes: bytes,
        ...(money ? { price: money.price, royalty: money.royalty } : {}),
        worked: workedEbook(money),
        findings,
      }
    }
    const chain = chainOf(bookId, editionId, at)
    const [money, pages, spinePt, wrap, spec] = [
      await chain.get('money'),
      await chain.get('pages'),
      await chain.get('spine'),
      await chain.get('wrap'),
      await chain.get('spec'),
    ]
    const own = money.earnings[0]
    const paper = profile.print?.papers.find(p => p.id === spec.paper)
    const cost = profile.print?.costs.find(
      c => c.ink === spec.ink && (!c.papers?.length || c.papers.includes(spec.paper)),
    )
    const extra = bindingRules(profile, spec.binding).extraCost
    return {
      ...base,
      pages,
      spinePt,
      wrap,
      cost: money.cost,
      leastPrice: money.leastPrice,
      ...(money.price === undefined || !own ? {} : { price: money.price, royalty: own.royalty }),
      worked: {
        ...(paper && spinePt ? { Spine: `${pages} pages × ${paper.caliper}` } : {}),
        Wrap: 'two panels, the spine and the bleed',
        ...(cost
          ? { Print: `${cost.fixed}${extra !== '0' ? ` + ${extra}` : ''} + ${pages} × ${cost.aPage} cents` }
          : {}),
        ...(own && money.price !== undefined
          ? { Royalty: `${own.share} × ${(money.price / 100).toFixed(2)} − ${(money.cost / 100).toFixed(2)} to print` }
          : {}),
      },
      findings,
    }
  },

  async leaves(bookId: string, editionId: string): Promise<Leaves> {
    const chain = chainOf(bookId, editionId)
    const [interior, book, profile, spec] = [
      shown(bookId, editionId, await chain.get('interior')),
      await chain.get('book'),
      await chain.get('profile'),
      await chain.get('spec'),
    ]
    const names = labels(book.sections)
    const named = (id: string): string =>
      names.has(id) ? shortName(names.get(id)!) : (book.plan?.runs.find(r => `run:${r.id}` === id)?.heading ?? 'a run')
    const opens = new Map([...interior.starts].map(([id, page]) => [page, { opens: named(id), section: id }]))
    return {
      unmetAt: interior.unmetAt,
      lent: interior.lent,
      borrowed: lendersOf(interior.borrowed),
      starts: [...interior.starts.keys()],
      width: interior.spec.width,
      height: interior.spec.height,
      style: interior.style,
      block: interior.block,
      outside: book.plan ? interior.spec.width - interior.block.x - interior.block.width : interior.outside,
      safe: pts(printRules(profile).safe),
      insideAsked: insideMargin(
        profile,
        spec.binding,
        roundPages(interior.pages.length, bindingRules(profile, spec.binding).pageMultiple),
      ),
      pages: interior.pages.map((p, i) => ({
        label: p.label,
        blank: !p.layers.length,
        runs: p.layers.reduce((n, l) => n + (l.layer.text?.count ?? 0), 0),
        ...opens.get(i),
      })),
    }
  },

  /** The opening of this book's first chapter in a style, as a picture `width` pixels wide. */
  async sample(
    bookId: string,
    editionId: string,
    style: string | object,
    width: number,
  ): Promise<ImageBitmap | undefined> {
    const page = await samplePage(bookId, editionId, chosenStyle(bookId, style))
    return page && handed(await withPreviews([page], pictures => draw(page, width / page.width, pictures)))
  },

  /** Sets an edition in another style beside its own, and says what it comes to. */
  async tryStyle(bookId: string, editionId: string, style: string | object): Promise<StyleFigures> {
    return figuresIn(bookId, editionId, chosenStyle(bookId, style))
  },

  /** The lines of a page and how wide their gaps came out. */
  async lines(bookId: string, editionId: string, index: number): Promise<LineAsSet[]> {
    const page = (await chainOf(bookId, editionId).get('interior')).pages[index]
    return page ? linesOf(page) : []
  },

  /** Where a text stands in the pages, in their order. */
  async find(bookId: string, editionId: string, text: string): Promise<{ page: number; boxes: PageBox[] }[]> {
    const { pages } = await chainOf(bookId, editionId).get('interior')
    return pages.flatMap((p, page) => findOnPage(p, text).map(boxes => ({ page, boxes })))
  },

  /** The interior as a file to look at, to hand on, or for a press. */
  async interiorFile(
    bookId: string,
    editionId: string,
    kind: InteriorFileKind,
    section?: string,
    ppi?: number,
  ): Promise<{ name: string; bytes: Uint8Array }> {
    const made = await interiorFile(bookId, editionId, kind, section, ppi)
    return Comlink.transfer(made, [made.bytes.buffer])
  },

  /** Blank templates for this edition, in a ZIP. */
  async templates(bookId: string, editionId: string): Promise<{ name: string; bytes: Uint8Array }> {
    const made = await templateFiles(bookId, editionId)
    return Comlink.transfer(made, [made.bytes.buffer])
  },

  /** Changes of the style with which the edition takes so many pages, or comes nearest without going over. */
  async fit(bookId: string, editionId: string, pages: number): Promise<FitOffer | undefined> {
    return fitEdition(bookId, editionId, pages)
  },

  /** The open spread in a style that was changed a moment ago, before the whole book is set in it: see `firstLook`. */
  async firstLook(
    bookId: string,
    editionId: string,
    pages: number[],
    scale: number,
  ): Promise<{ page: number; bitmap: ImageBitmap }[]> {
    const seen = await firstLook(bookId, editionId, pages)
    const out = await withPreviews(
      seen.map(s => s.marks),
      pictures =>
        seen.map(({ page, marks }) => ({ page, bitmap: draw(marks, scale, pictures).transferToImageBitmap() })),
    )
    return Comlink.transfer(
      out,
      out.map(o => o.bitmap),
    )
  },

  /** A page as a picture of `scale` pixels a point. */
  async paint(
    bookId: string,
    editionId: string,
    index: number,
    scale: number,
    part?: Part,
  ): Promise<ImageBitmap | undefined> {
    const page = (await chainOf(bookId, editionId).get('interior')).pages[index]
    if (!page) return undefined
    return handed(
      await (wantsOriginals(page, scale)
        ? withOriginals(page, p => draw(page, scale, p, part))
        : withPreviews([page], p => draw(page, scale, p, part))),
    )
  },

  /** What stands at a point of a page, as a click there means it. Points from the trim's top left. */
  async placeAt(
    bookId: string,
    editionId: string,
    index: number,
    x: number,
    y: number,
  ): Promise<TextPlace | undefined> {
    const place = placeAt(await chainOf(bookId, editionId).get('interior'), index, x, y)
    return place && !place.section.startsWith('run:') ? place : undefined
  },

  async boxOn(
    bookId: string,
    editionId: string,
    index: number,
    section: string,
    block: string,
  ): Promise<PageBox | undefined> {
    return boxOn(await chainOf(bookId, editionId).get('interior'), index, section, block)
  },

  async pageOf(bookId: string, editionId: string, section: string, block?: string): Promise<number | undefined> {
    return pageOf(await chainOf(bookId, editionId).get('interior'), section, block)
  },

  /** Where a place of the text stands in the pages: the page, its label, and the word. */
  async wordInPages(
    bookId: string,
    editionId: string,
    place: TextPlace,
  ): Promise<{ page: number; label: string; boxes: PageBox[] } | undefined> {
    const interior = await chainOf(bookId, editionId).get('interior')
    const page = pageOf(interior, place.section, place.block, place.chars)
    return page === undefined || !interior.pages[page]
      ? undefined
      : { page, label: interior.pages[page].label, boxes: wordAt(interior, page, place) }
  },

  async cover(bookId: string, editionId: string, outletId?: string): Promise<CoverView> {
    const { book } = bookOf(bookId)
    const cover = await coverOf(bookId, editionOf(book, editionId), outletId)
    return { flat: cover.flat, pieces: cover.pieces, barcode: cover.barcode, design: designOf(book) }
  },

  /** The cover as a picture: the whole sheet with its bleed, or the front as it is cut. */
  async paintCover(
    bookId: string,
    editionId: string,
    part: 'sheet' | 'front',
    scale: number,
    outletId?: string,
  ): Promise<ImageBitmap> {
    const { book } = bookOf(bookId)
    const cover = await coverOf(bookId, editionOf(book, editionId), outletId)
    const page = part === 'front' ? frontPage(cover) : cover.page
    return handed(
      await withPreviews([page], pictures =>
        draw(page, scale, pictures, part === 'sheet' ? withBleed(page) : undefined),
      ),
    )
  },

  async findings(bookId: string, editionId: string, outletId: string): Promise<Finding[]> {
    return findingsOf(bookId, editionOf(bookOf(bookId).book, editionId), outletId)
  },

  async snapshot(bookId: string, editionId: string, outletId: string): Promise<ListingSnapshot> {
    return snapshotOf(bookId, editionOf(bookOf(bookId).book, editionId), outletId)
  },

  /** Makes the package; `report` hears how far it is and may answer false to stop it. */
  async pack(
    bookId: string,
    editionId: string,
    outletId: string,
    report: (p: Progress) => Promise<boolean> | boolean,
  ): Promise<{ submission: Submission; zip: Uint8Array }> {
    let last = 0
    const made = await makePackage(bookId, editionOf(bookOf(bookId).book, editionId), outletId, async p => {
      const now = performance.now()
      if (now - last < 40 && Number.isInteger(p.done) === false) return
      last = now
      if (!(await report(p))) throw new Fault('cancelled', 'Stopped before the package was made.')
    })
    return Comlink.transfer(made, [made.zip.buffer])
  },
}

/** The worked line of an ebook's royalty. */
function workedEbook(money: ReturnType<typeof ebookMoney> | undefined): Record<string, string> {
  return money
    ? {
        Royalty: `${money.share} × ${(money.price / 100).toFixed(2)}${money.delivery ? ` − ${(money.delivery / 100).toFixed(2)} for delivery` : ''}`,
      }
    : {}
}

function editionOf(book: Book, id: string) {
  const e = book.editions.find(x => x.id === id)
  if (!e) throw new Fault('no-edition', 'This edition is not in the book any more.')
  return e
}

function handed(canvas: OffscreenCanvas): ImageBitmap {
  const bitmap = canvas.transferToImageBitmap()
  return Comlink.transfer(bitmap, [bitmap])
}

async function bytesOf(file: Blob): Promise<Uint8Array> {
  const buffer = await file.arrayBuffer().catch(() => undefined)
  if (!buffer)
    throw new Fault('unreadable', 'This file could not be read: it was moved or changed meanwhile, or is too large.')
  return new Uint8Array(buffer)
}

/** An answer whose files go over to the page instead of being copied: a book's pictures are in memory once. */
function handedOver<T extends object>(answer: T, files: Map<string, Uint8Array>[]): T {
  const buffers = new Set(files.flatMap(f => [...f.values()].map(b => b.buffer as ArrayBuffer)))
  return Comlink.transfer(answer, [...buffers])
}

/** Work with files; what a file does to a reader is said in one plain sentence. */
async function plainly<T>(work: (files: typeof import('./files')) => T): Promise<T> {
  const files = await import('./files')
  try {
    return work(files)
  } catch (e) {
    throw e instanceof Fault ? e : new Fault('unreadable', 'This file cannot be read.')
  }
}

export type PressApi = typeof api
Comlink.expose(api)

// While work lets messages out, the page hears that the press lives.
setInterval(() => postMessage({ pulse: true }), 1000)
