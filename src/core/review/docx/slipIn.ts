import { type Slip, SLIP_SPACE } from '@/core/copies'
import { entryNames, parseXml, readZip } from '@/core/files'

const PART = /^customXml\/item\d+\.xml$/

/** Whose text a word-processor file holds, and the round that it went out on; undefined where it does not say so. */
export function slipIn(bytes: Uint8Array): Slip | undefined {
  if (![...entryNames(bytes)].some(name => PART.test(name))) return undefined
  for (const part of readZip(bytes, name => PART.test(name)).values()) {
    const slip = saidIn(part)
    if (slip) return slip
  }
  return undefined
}

function saidIn(part: Uint8Array): Slip | undefined {
  try {
    const root = parseXml(part, 'a part of its own')
    if (!Object.values(root.attrs).includes(SLIP_SPACE)) return undefined
    const { book, round } = JSON.parse(root.children.filter(c => typeof c === 'string').join('')) as Partial<Slip>
    if (typeof book !== 'string' || (round !== undefined && typeof round !== 'string')) return undefined
    return { book, ...(round && { round }) }
  } catch {
    return undefined // Another program's part, or ours changed on the way: the author says what the file is.
  }
}
