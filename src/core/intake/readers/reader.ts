import type { Report } from '../../trade'
import type { RawManuscript } from '../raw'

/** A file that is brought in, as far as it is known before it is read. */
export interface Incoming {
  name: string
  /** Of its name, in lower case, without the dot. */
  ending: string
  bytes: Uint8Array
  /** Names of what is in it, where it is an archive. */
  entries: ReadonlySet<string>
  /** Its words, where it is no archive; decoded when they are first asked for. Throws a Fault where there are none. */
  text(): string
}

/** What a reader may use, and whom it tells. */
export interface Reading {
  /** Files that came with it, by their names. */
  beside?: Map<string, Uint8Array> | undefined
  report?: Report | undefined
  /** What can be saved of a damaged file is taken, and what cannot is counted. */
  salvage: boolean
}

/** A kind of manuscript: one folder of `readers`. */
export interface Reader {
  id: string
  /** "Web page". */
  name: string
  /** Endings of names, the usual one first. */
  endings: readonly string[]
  /** Whether a file is one: by what is in it; by its name where that cannot tell. */
  knows(file: Incoming): boolean
  /** Reads it. Throws a Fault with one plain sentence where it cannot. */
  read(file: Incoming, reading: Reading): RawManuscript
}
