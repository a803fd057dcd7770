import { readFile } from 'node:fs/promises'
import { existsSync } from 'node:fs'
import { join } from 'node:path'
import { shippedFonts, type FontSource } from '@/core/type'

const root = process.cwd()
const packages: Record<string, string> = { EBGaramond: 'eb-garamond', SourceSerif4: 'source-serif-4', Fraunces: 'fraunces', Figtree: 'figtree' }

/** The shipped fonts as files of their packages. */
export const fontSource: FontSource = async key => {
  const file = shippedFonts[key]
  if (!file) return undefined
  const [family, variant] = file.replace('.ttf', '').split(/_(.*)/)
  const path = join(root, 'node_modules/@expo-google-fonts', packages[family!]!, variant!, file)
  return existsSync(path) ? new Uint8Array(await readFile(path)) : undefined
}
