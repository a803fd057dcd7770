import { strToU8 } from 'fflate'
import type { Asset } from '../book'
import type { Markup } from '../trade'

/** A file of the publication, its path counted from the package document. */
export interface EpubFile {
  path: string
  id: string
  type: string
  data: Uint8Array
  properties?: string
}

export interface NavEntry {
  title: string
  href: string
  /** From 0: it stands below the nearest of a lesser depth before it. */
  depth: number
}

/** A part of a publication that readers lead to by what it is (EPUB 3 structural semantics). */
export interface Landmark {
  type: 'cover' | 'toc' | 'titlepage' | 'bodymatter'
  title: string
  href: string
}

/** What a publication is made of, as it comes together. */
export class Publication {
  readonly files: EpubFile[] = []
  /** Ids of what is read, in order. */
  readonly spine: string[] = []
  readonly nav: NavEntry[] = []
  readonly landmarks: Landmark[] = []
  readonly pageList: { label: string; href: string }[] = []

  constructor(
    readonly identifier: string,
    /** Its pictures, by asset. */
    readonly assets: Map<string, Asset>,
  ) {}

  add({ data, ...file }: Omit<EpubFile, 'data'> & { data: Markup | Uint8Array | string }): void {
    this.files.push({ ...file, data: data instanceof Uint8Array ? data : strToU8(String(data)) })
  }

  /** Adds a text; it is read after what was added before. */
  addText(path: string, id: string, data: Markup): void {
    // A text says in the package where it draws (EPUB 3.3, 5.5.1).
    const draws = String(data).includes('<svg ')
    this.add({ path, id, type: 'application/xhtml+xml', data, ...(draws && { properties: 'svg' }) })
    this.spine.push(id)
  }
}
