/**
 * An ebook as a value: what its package says and holds (EPUB 3.3; what older ones say in their own ways stands in the same
 * places). Paths are counted from the container's root, and targets are paths with "#" and an id where they name a place.
 */
export interface Epub {
  /** Path of the package document. */
  root: string
  /** "3.0" or "2.0". */
  version: string
  /** Id of the identifier that is the publication's own. */
  uid: string
  /** What the package is written in. */
  language?: string
  /** In the order of the package. */
  metadata: Statement[]
  items: EpubItem[]
  /** Items that the package names and the container lacks, or that are on the web. */
  absent: Omit<EpubItem, 'data'>[]
  /** What is read, in order. */
  spine: SpineItem[]
  direction?: 'ltr' | 'rtl'
  nav: NavEntry[]
  landmarks: Landmark[]
  /** Where printed pages begin. */
  pages: PageEntry[]
  /** Files that the package does not name, by path. */
  others: Map<string, Uint8Array>
}

/** A file of the publication. */
export interface EpubItem {
  id: string
  path: string
  /** Media type. */
  type: string
  data: Uint8Array
  properties: string[]
  /** Id of the item that is shown where this one cannot be. */
  fallback?: string
  /** Id of the item that says when each of its words is read aloud. */
  overlay?: string
}

export interface SpineItem {
  /** Of an item. */
  id: string
  /** Read in its turn; else only where a link leads to it. */
  linear: boolean
  properties: string[]
}

/** An entry of the contents. */
export interface NavEntry {
  title: string
  /** Target. */
  href: string
  /** From 0: it stands below the nearest of a lesser depth before it. */
  depth: number
}

/** A part of a publication that readers lead to by what it is (EPUB 3 structural semantics): "cover", "toc", "bodymatter" … */
export interface Landmark {
  type: string
  title: string
  href: string
}

/** A printed page, by its label, and where it begins. */
export interface PageEntry {
  label: string
  href: string
}

/** An element of the metadata: "dc:title", "meta", "link". */
export interface Statement {
  name: string
  value: string
  attrs: Record<string, string>
}
