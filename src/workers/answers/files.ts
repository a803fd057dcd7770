import * as Comlink from 'comlink'
import { treated, type Treatment } from '@/core/cover'
import { cleanLines, type Cleaning } from '@/core/activity'
import type { Library, Project } from '@/core/archive'
import type { Book, Recording } from '@/core/book'
import type { CopyAsk, CopyFile, Slip } from '@/core/copies'
import { asRecording, lookedInto, type Understood } from '@/core/intake'
import type { ForeignPage, Seen } from '@/core/pdf'
import type { Returned } from '@/core/review'
import { Fault, isJpeg, type OutletProfile } from '@/core/trade'
import { type ReadFont, readFont } from '@/core/type'
import { decodedWhole } from '../decoding'
import { canBeShown, lookOver } from '../door'
import { bytesOf, handedOver } from '../handing'
import { originalBytes } from '../pictureShelf'
import { tell, tellAndHear } from '../telling'

/** What went out, when, and the highest number that an id has by now. */
export interface Sent {
  sent: Book
  at: number
  lastId: number
}

/** A file as it was read: a manuscript, or a whole project. */
export type ReadFile = Pick<Understood, 'book' | 'pictures' | 'dropped' | 'cleaned' | 'isbn'> &
  Partial<Pick<Understood, 'candidates' | 'levels' | 'dirt' | 'asTyped'>> & {
    project: boolean
    /** Outlets that a project brings. */
    outlets?: OutletProfile[]
  }

/** Files that come in and go out: manuscripts, projects, backups, pictures, fonts. */
export const files = {
  readProject(bytes: Uint8Array, known: OutletProfile[]): Promise<Project> {
    return plainly(f => f.readProject(bytes, { known }))
  },

  async writeProject(p: Project): Promise<Uint8Array> {
    const bytes = await plainly(f => f.writeProject(p))
    return Comlink.transfer(bytes, [bytes.buffer])
  },

  async readLibrary(file: Blob, known: OutletProfile[]): Promise<Library> {
    const bytes = await bytesOf(file)
    const library = await plainly(f => f.readLibrary(bytes, known, tell))
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

  /** A manuscript or a project file, whichever it is. `known`: the outlets that there are; `salvage`: take what can be saved of a damaged one. */
  async readFile(file: File, known: OutletProfile[], salvage = false): Promise<ReadFile> {
    const lost: string[] = []
    const bytes = await bytesOf(file)
    const read = await plainly(f => {
      if (!f.isProject(bytes))
        return { ...f.readManuscript(file.name, bytes, undefined, tell, salvage), project: false }
      const saving = salvage ? { salvage: (what: string) => void lost.push(what) } : {}
      return { ...f.readProject(bytes, { known, report: tell, ...saving }), dropped: [], cleaned: [], project: true }
    })
    const { book, pictures, said } = await lookOver(read.book, read.pictures, tell)
    const parts = { what: 'parts of the damaged file', count: lost.length, places: lost.slice(0, 5) }
    const dropped = [...read.dropped, ...said, ...(lost.length ? [parts] : [])]
    return handedOver({ ...read, book, pictures, dropped }, [pictures])
  },

  /** Several manuscripts as one book, in their order; what can be saved of damaged ones is taken. */
  async readFiles(files: File[]): Promise<ReadFile> {
    const all = await Promise.all(files.map(async f => ({ name: f.name, bytes: await bytesOf(f) })))
    const read = await plainly(f => f.readManuscripts(all, { report: tell, salvage: true }))
    const { book, pictures, said } = await lookOver(read.book, read.pictures, tell)
    return handedOver({ ...read, book, pictures, dropped: [...read.dropped, ...said], project: false }, [pictures])
  },

  /** The text, or some of its sections, in an open format. */
  async copyOf(book: Book, kind: string, ask: CopyAsk): Promise<CopyFile> {
    const file = await plainly(f => f.copyOf(book, kind, ask))
    return Comlink.transfer(file, [file.bytes.buffer])
  },

  /** Whose text a word-processor file holds, and on which round it went out, where it says so. */
  slipIn: (bytes: Uint8Array): Promise<Slip | undefined> => plainly(f => f.slipIn(bytes)),

  /** A word-processor file that went out from here and came back; pictures that came with it can be decoded. */
  async readReturned(bytes: Uint8Array, sent: Sent): Promise<Returned> {
    const returned = await plainly(f => f.readReturnedDocx(bytes, { ...sent, report: tell }))
    for (const [id, picture] of returned.pictures)
      if (!(await canBeShown(id, picture))) {
        returned.assets = returned.assets.map(a => (a.id === id ? { ...a, damaged: true } : a))
      }
    return handedOver(returned, [returned.pictures])
  },

  /** Whether a picture that is brought in can be decoded. */
  checkPicture: (id: string, bytes: Uint8Array): Promise<boolean> => canBeShown(id, bytes),

  /** A sound or a film that an author brings in; undefined where ebooks play none of its kind. */
  async readRecording(bytes: Uint8Array, name: string): Promise<Recording | undefined> {
    const recording = asRecording(bytes, name)
    return recording && lookedInto(recording, bytes)
  },

  /** The pages of a PDF that was made elsewhere, each a file of its own. */
  async foreignPages(bytes: Uint8Array, name: string, as?: Seen): Promise<ForeignPage[]> {
    const { foreignPages } = await import('@/core/pdf')
    const pages = await foreignPages(bytes, name, tellAndHear, as)
    return Comlink.transfer(
      pages,
      pages.map(p => p.bytes.buffer),
    )
  },

  /** A drawing of the library with its lines cleaned, as a PNG; undefined where it cannot be decoded. */
  async cleanedDrawing(id: string, how: Cleaning): Promise<MadePicture | undefined> {
    const bytes = await originalBytes(id)
    const cleaned = bytes && (await decodedWhole(id, bytes, bitmap => remade(bitmap, p => cleanLines(p, how))))
    return cleaned && Comlink.transfer(cleaned, [cleaned.bytes.buffer])
  },

  /** A picture of the library as a cover treats it: a JPEG where it was one and covers as before, or a PNG. Undefined where it cannot be decoded. */
  async treatPicture(id: string, how: Treatment): Promise<MadePicture | undefined> {
    const bytes = await originalBytes(id)
    const as = bytes && !how.cut && isJpeg(bytes) ? 'image/jpeg' : 'image/png'
    const made = bytes && (await decodedWhole(id, bytes, bitmap => remade(bitmap, p => treated(p, how), as)))
    return made && Comlink.transfer(made, [made.bytes.buffer])
  },

  /** A font that an author brings in: what it is, or why it cannot be used. */
  readFont: (bytes: Uint8Array): Promise<ReadFont> => readFont(bytes),
}

/** A picture that was made of another, as a file. */
export interface MadePicture {
  type: 'image/png' | 'image/jpeg'
  bytes: Uint8Array<ArrayBuffer>
  width: number
  height: number
}

/** The same bytes where they are as a canvas wants them: a copy of a hundred megabytes takes its time. */
const clamped = (rgba: Uint8Array | Uint8ClampedArray): Uint8ClampedArray<ArrayBuffer> =>
  (rgba instanceof Uint8ClampedArray ? rgba : Uint8ClampedArray.from(rgba)) as Uint8ClampedArray<ArrayBuffer>

/** Of a JPEG that was made of another: no loss that print shows. */
const FINE = 0.94

async function remade(
  bitmap: ImageBitmap,
  how: (pixels: { width: number; height: number; rgba: Uint8ClampedArray }) => { rgba: Uint8Array | Uint8ClampedArray },
  type: MadePicture['type'] = 'image/png',
): Promise<MadePicture> {
  const { width, height } = bitmap
  const canvas = new OffscreenCanvas(width, height)
  const ctx = canvas.getContext('2d', { willReadFrequently: true })
  if (!ctx) throw new Fault('canvas', 'The browser gives no canvas.')
  ctx.drawImage(bitmap, 0, 0)
  const { rgba } = how({ width, height, rgba: ctx.getImageData(0, 0, width, height).data })
  ctx.putImageData(new ImageData(clamped(rgba), width, height), 0, 0)
  const file = await canvas.convertToBlob({ type, quality: FINE })
  return { type, bytes: new Uint8Array(await file.arrayBuffer()), width, height }
}

/** Work with files; what a file does to a reader is said in one plain sentence. */
async function plainly<T>(work: (files: typeof import('../files')) => T | Promise<T>): Promise<T> {
  const readers = await import('../files')
  try {
    return await work(readers)
  } catch (e) {
    throw e instanceof Fault ? e : new Fault('unreadable', 'This file cannot be read.')
  }
}
