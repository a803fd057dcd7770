import * as Comlink from 'comlink'
import { isProject, type Project, readProject } from '@/core/archive'
import { docWords } from '@/core/book'
import { printChain } from '@/core/chain'
import { frontPage, lampOverTide, rows } from '@/core/cover'
import { type Understood, readManuscript } from '@/core/intake'
import { type Canvas2D, paintPage } from '@/core/marks'
import { profileOf } from '@/core/outlets'
import { Setter, shippedStyles } from '@/core/pages'
import { Fault } from '@/core/trade'
import { FontShelf, shippedFonts } from '@/core/type'

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
      const profile = profileOf(e.outlets[0] ?? 'ostrevane')
      const chain = printChain({
        book, profile, style: shippedStyles.find(s => s.id === e.style) ?? shippedStyles[0]!, isbn: e.isbn, price: e.price, design: e.kind === 'coil' ? rows : lampOverTide,
        spec: { binding: e.kind, trim: e.trim ?? '6x9in', paper: e.paper ?? 'cream', ink: e.ink ?? 'black' },
      }, setter, shelf)
      const findings = await chain.get('findings')
      const first = findings.find(f => f.severity !== 'remark')
      out.editions.push({ id: e.id, kind: e.kind, trim: e.trim, pages: await chain.get('pages'), spinePt: await chain.get('spine'), outlets: e.outlets, stops: findings.filter(f => f.severity === 'stop').length, ...(first ? { asks: first.message } : {}) })
      if (!out.front) {
        const page = frontPage(await chain.get('cover'))
        const scale = 240 / page.height
        const canvas = new OffscreenCanvas(Math.round(page.width * scale), 240)
        const ctx = canvas.getContext('2d')!
        ctx.scale(scale, scale)
        paintPage(ctx as unknown as Canvas2D, page, () => undefined)
        out.front = await canvas.convertToBlob({ type: 'image/png' })
      }
    }
    return out
  },
}

/** Faults cross to the page as errors with their plain sentence. */
function plainly<T>(work: () => T): T {
  try {
    return work()
  } catch (e) {
    throw e instanceof Fault ? new Error(e.message) : new Error('This file cannot be read.')
  }
}

export type PressApi = typeof api
Comlink.expose(api)
