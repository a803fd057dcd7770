import { strToU8 } from 'fflate'
import { type Book, filesOf, hashOf, type Section } from '../book'
import { Fault } from '../trade'
import { canonicalJson } from './canonical'
import { currentRecord } from './currentRecord'

/**
 * A kept version of a book is a manifest of hashes: its record, each section, the pictures and fonts it uses. Parts that are the
 * same in two versions are the same bytes and stand in the store once.
 */
export interface Manifest {
  format: 'porchlight-version'
  version: 1
  /** SHA-256 of the book's record as JSON. */
  book: string
  /** SHA-256 of each section as JSON, in order. */
  sections: string[]
  /** SHA-256 of each picture and font. */
  files: string[]
}

export interface KeptVersion {
  /** SHA-256 of the manifest. */
  manifest: string
  /** Bytes of the manifest and of the parts that are text, by hash; pictures and fonts are named, not copied. */
  parts: Map<string, Uint8Array>
  files: string[]
}

/** The book as a kept version. */
export function versionOf({ sections, ...head }: Book): KeptVersion {
  const parts = new Map<string, Uint8Array>()
  const put = (value: unknown): string => {
    const bytes = strToU8(canonicalJson(value))
    const hash = hashOf(bytes)
    parts.set(hash, bytes)
    return hash
  }
  const files = [...new Set(filesOf(head))].sort()
  const manifest: Manifest = {
    format: 'porchlight-version',
    version: 1,
    book: put(head),
    sections: sections.map(put),
    files,
  }
  return { manifest: put(manifest), parts, files }
}

/** Reads a kept version; `part` gives bytes by hash. A part that is missing or is not what it was is a Fault that names it. */
export async function readVersion(
  manifest: string,
  part: (hash: string) => Promise<Uint8Array | undefined>,
): Promise<Book> {
  const read = async (hash: string, what: string): Promise<unknown> => {
    const bytes = await part(hash)
    if (!bytes || hashOf(bytes) !== hash)
      throw new Fault('damaged', `This version cannot be opened: ${what} is ${bytes ? 'not what it was' : 'missing'}.`)
    return JSON.parse(new TextDecoder().decode(bytes))
  }
  const m = (await read(manifest, 'its list')) as Manifest
  // A version may be older than the shape of records is now.
  const head = currentRecord((await read(m.book, 'its record')) as Omit<Book, 'sections'>)
  const sections: Section[] = []
  for (const [i, hash] of m.sections.entries()) sections.push((await read(hash, `section ${i + 1}`)) as Section)
  return { ...head, sections }
}
