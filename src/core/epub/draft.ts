import { strToU8 } from 'fflate'
import type { Asset, Recording } from '../book'
import type { EpubItem, Landmark, NavEntry, PageEntry, SpineItem } from '../publication'
import type { Markup } from '../trade'

/** The folder of the publication in its container, and what lies in it. */
export const ROOT = 'OEBPS/content.opf'
export const at = (path: string): string => `OEBPS/${path}`

/** A file as it comes in: its path from the publication's folder. */
interface Added extends Omit<EpubItem, 'data' | 'path' | 'properties'> {
  path: string
  data: Markup | Uint8Array | string
  properties?: string[]
}

/** A publication as it comes together. */
export class Draft {
  readonly items: EpubItem[] = []
  readonly spine: SpineItem[] = []
  readonly nav: NavEntry[] = []
  readonly landmarks: Landmark[] = []
  readonly pages: PageEntry[] = []

  constructor(
    readonly identifier: string,
    /** Its pictures, by asset. */
    readonly assets: Map<string, Asset>,
    /** Its recordings, by their ids. */
    readonly recordings: ReadonlyMap<string, Recording> = new Map(),
  ) {}

  add({ data, path, properties = [], ...item }: Added): void {
    this.items.push({
      ...item,
      path: at(path),
      properties,
      data: data instanceof Uint8Array ? data : strToU8(String(data)),
    })
  }

  /** Adds a text; it is read after what was added before. */
  addText(path: string, id: string, data: Markup): void {
    // A text says in the package where it draws (EPUB 3.3, 5.5.1).
    const draws = String(data).includes('<svg ')
    this.add({ path, id, type: 'application/xhtml+xml', data, ...(draws && { properties: ['svg'] }) })
    this.read(id)
  }

  /** An item is read next. */
  read(id: string): void {
    this.spine.push({ id, linear: true, properties: [] })
  }
}
