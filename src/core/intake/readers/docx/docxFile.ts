import type { NumberingLevel } from './numbering'
import type { Riding } from './riding'
import type { StyleSheet } from './styles'

/** What a document's text refers to. */
export interface DocxFile {
  styles: StyleSheet
  numbering: Map<string, NumberingLevel[]>
  /** By id. */
  relations: Map<string, { target: string; external: boolean }>
  /** Where the text lies; targets are relative to it. */
  folder: string
  parts: Map<string, Uint8Array>
  /** How it is read, where it comes back. */
  riding: Riding | undefined
}
