import * as Comlink from 'comlink'
import { isProject, type Project, readProject } from '@/core/archive'
import { type Book, docWords, type Edition, labels, shortName } from '@/core/book'
import { type Graph, type PrintChain, type PrintInputs, printChain } from '@/core/chain'
import { frontPage, lampOverTide, rows } from '@/core/cover'
import { type Understood, readManuscript } from '@/core/intake'
import { type Canvas2D, type PageMarks, paintPage, type Pictures } from '@/core/marks'
import { profileOf } from '@/core/outlets'
import { type InteriorStyle, Setter, shippedStyles, withChanges } from '@/core/pages'
import { Fault, insideMargin, printRules, pts } from '@/core/trade'
import { FontShelf, shippedFonts } from '@/core/type'
import type { Finding } from '@/core/check'

/** The press: the core in a worker. A thin entry; what it answers is computed by the core. */
const shelf = new FontShelf(async key => {
  const file = shippedFonts[key]
  if (!file) return undefined
  const response = await fetch(`/fonts/${file}`)
  return response.ok ? new Uint8Array(await response.arrayBuffer()) : undefined
})
const setter = new Setter(shelf)

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

/** The live figures of an edition at its first outlet. */
export interface Figures {
  outlet: string
  pages: number
  spinePt: number
  wrap: { width: number; height: number }
  /** Minor units. */
  cost: number
  price?: number
  royalty?: number
  leastPrice: number
  currency: string
  findings: Finding[]
}

/** What a view of the pages needs to know before it paints any. */
export interface Leaves {
  /** Points. */
  width: number
  height: number
  style: InteriorStyle
  pages: { label: string; blank: boolean; /** Title of the section that opens here. */ opens?: string }[]
  /** The text block on a recto, and the outlet's safe zone from the trim. */
  block: { x: number; y: number; width: number; height: number }
  outside: number
  safe: number
  /** The least inside margin that the outlet asks at this count. */
  insideAsked: number
}

export interface Outlook {
  words: number
  editions: EditionOutlook[]
  /** The front cover as a picture. */
  front?: Blob
}

const api = {
  readProject(bytes: Uint8Array): Project {
    return plainly(() => readProject(bytes))
  },

  /** A manuscript or a project file, whichever it is. */
  readFile(name: string, bytes: Uint8Array): Pick<Understood, 'book' | 'pictures' | 'dropped'> {
    return plainly(() => {
      if (!isProject(bytes)) return readManuscript(name, bytes)
      return { ...readProject(bytes), dropped: [] }
    })
  },

  /** Words, pages, findings and front of a book: what follows from it, for the shelf. */
  async outlook({ book }: Project): Promise<Outlook> {
    const words = book.sections.reduce((n, s) => n + (s.made ? 0 : docWords(s.doc)), 0)
    const out: Outlook = { words, editions: [] }
    for (const e of book.editions) {
      if (e.kind === 'ebook') {
        out.editions.push({ id: e.id, kind: e.kind, outlets: e.outlets, stops: words ? 0 : 1, ...(words ? {} : { asks: 'Write something first' }) })
        continue
      }
      const chain = printChain(inputsOf(book, e), setter, shelf)
      const findings = await chain.get('findings')
      const first = findings.find(f => f.severity !== 'remark')
      out.editions.push({ id: e.id, kind: e.kind, trim: e.trim, pages: await chain.get('pages'), spinePt: await chain.get('spine'), outlets: e.outlets, stops: findings.filter(f => f.severity === 'stop').length, ...(first ? { asks: first.message } : {}) })
      if (!out.front) {
        const page = frontPage(await chain.get('cover'))
        out.front = await draw(page, 240 / page.height, () => undefined).convertToBlob({ type: 'image/png' })
      }
    }
    return out
  },

  /** Opens a book at the press, or gives it its newest state; what did not change is not computed again. */
  async open({ book, pictures }: Project): Promise<void> {
    const known = opened.get(book.id)
    const images = new Map<string, ImageBitmap>(known?.images)
    for (const a of book.assets) {
      const bytes = pictures.get(a.id)
      if (bytes && !images.has(a.id)) images.set(a.id, await createImageBitmap(new Blob([Uint8Array.from(bytes)], { type: a.type })))
    }
    const chains = known?.chains ?? new Map<string, Graph<PrintChain>>()
    for (const e of book.editions) if (e.kind !== 'ebook') {
      const inputs = inputsOf(book, e)
      const chain = chains.get(e.id)
      if (!chain) chains.set(e.id, printChain(inputs, setter, shelf))
      else for (const k of Object.keys(inputs) as (keyof PrintInputs)[]) await renew(chain, k, inputs[k])
    }
    opened.set(book.id, { chains, images })
  },

  async figures(bookId: string, editionId: string): Promise<Figures> {
    const chain = chainOf(bookId, editionId)
    const money = await chain.get('money')
    const own = money.earnings[0]
    return {
      outlet: (await chain.get('profile')).name, pages: await chain.get('pages'), spinePt: await chain.get('spine'), wrap: await chain.get('wrap'), cost: money.cost, leastPrice: money.leastPrice, currency: money.currency,
      ...(money.price === undefined || !own ? {} : { price: money.price, royalty: own.royalty }), findings: await chain.get('findings'),
    }
  },

  async leaves(bookId: string, editionId: string): Promise<Leaves> {
    return plainlyLater(async () => {
      const chain = chainOf(bookId, editionId)
      const interior = await chain.get('interior')
      const book = await chain.get('book')
      const profile = await chain.get('profile')
      const spec = await chain.get('spec')
      const names = labels(book.sections)
      const opens = new Map([...interior.starts].map(([id, page]) => [page, shortName(names.get(id)!)]))
      return {
        width: interior.spec.width, height: interior.spec.height, style: interior.style, block: interior.block, outside: interior.style.margins.outside, safe: pts(printRules(profile).safe),
        insideAsked: insideMargin(profile, spec.binding, await chain.get('pages')),
        pages: interior.pages.map((p, i) => ({ label: p.label, blank: !p.layers.length, ...(opens.get(i) ? { opens: opens.get(i) } : {}) })),
      }
    })
  },

  /** A page as a picture of `scale` pixels a point. */
  async paint(bookId: string, editionId: string, index: number, scale: number): Promise<ImageBitmap | undefined> {
    const interior = await chainOf(bookId, editionId).get('interior')
    const page = interior.pages[index]
    if (!page) return undefined
    const bitmap = draw(page, scale, id => opened.get(bookId)?.images.get(id)).transferToImageBitmap()
    return Comlink.transfer(bitmap, [bitmap])
  },
}

/** Books open at the press: a chain for each print edition, and decoded pictures. */
const opened = new Map<string, { chains: Map<string, Graph<PrintChain>>; images: Map<string, ImageBitmap> }>()

function chainOf(bookId: string, editionId: string): Graph<PrintChain> {
  const chain = opened.get(bookId)?.chains.get(editionId)
  if (!chain) throw new Error('This edition is not open.')
  return chain
}

/** Sets an input only where it says something else: records come anew from storage each time, and identity is what the chain goes by. */
async function renew<K extends keyof PrintInputs>(chain: Graph<PrintChain>, name: K, value: PrintInputs[K]): Promise<void> {
  const old = (await chain.get(name)) as PrintInputs[K]
  if (JSON.stringify(old) !== JSON.stringify(value)) chain.set(name, value as PrintChain[K])
}

function inputsOf(book: Book, e: Edition): PrintInputs {
  const shipped = shippedStyles.find(s => s.id === e.style) ?? shippedStyles[0]!
  // The chain looks at the book for its text and data; an edition's own settings come in beside it.
  return {
    book: { ...book, editions: [] }, profile: profileOf(e.outlets[0] ?? 'ostrevane'), style: withChanges(shipped, e.styleChanges), isbn: e.isbn, price: e.price, design: e.kind === 'coil' ? rows : lampOverTide,
    spec: { binding: e.kind === 'ebook' ? 'paperback' : e.kind, trim: e.trim ?? '6x9in', paper: e.paper ?? 'cream', ink: e.ink ?? 'black' },
  }
}

function draw(page: PageMarks, scale: number, pictures: Pictures): OffscreenCanvas {
  const canvas = new OffscreenCanvas(Math.max(1, Math.round(page.width * scale)), Math.max(1, Math.round(page.height * scale)))
  const ctx = canvas.getContext('2d')!
  ctx.scale(scale, scale)
  paintPage(ctx as unknown as Canvas2D, page, pictures, '#fffefb')
  return canvas
}

/** Faults cross to the page as errors with their plain sentence. */
async function plainlyLater<T>(work: () => Promise<T>): Promise<T> {
  try {
    return await work()
  } catch (e) {
    throw e instanceof Fault ? new Error(e.message) : e
  }
}

function plainly<T>(work: () => T): T {
  try {
    return work()
  } catch (e) {
    throw e instanceof Fault ? new Error(e.message) : new Error('This file cannot be read.')
  }
}

export type PressApi = typeof api
Comlink.expose(api)
