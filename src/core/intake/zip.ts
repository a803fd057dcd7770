import { Unzip, UnzipInflate } from 'fflate'
import { Fault, joinBytes, type Report } from '../trade'

/** Limits for archives from outside: an archive must not be able to fill memory or time. */
export interface ZipLimits {
  /** Inflated bytes of one entry, and of all together. */
  entry: number
  total: number
  entries: number
}

export const manuscriptLimits: ZipLimits = { entry: 96e6, total: 400e6, entries: 5000 }

/** Parts of text inflate tenfold or so; anything past this, once it is large, is made to harm. */
const MOST_RATIO = 250
const RATIO_FROM = 8e6

/**
 * Reads the entries of a ZIP that `wanted` names. Streams: an entry is counted while it inflates, so a false size in its
 * header does not help it. Throws a Fault for damaged, encrypted or harmful archives.
 */
export function readZip(bytes: Uint8Array, wanted: (name: string) => boolean, limits: ZipLimits = manuscriptLimits, report?: Report): Map<string, Uint8Array> {
  if (bytes.length < 22 || bytes[0] !== 0x50 || bytes[1] !== 0x4b) throw new Fault('damaged', 'This file is damaged: it is no ZIP archive inside.')
  if (bytes[6]! & 1) throw new Fault('encrypted', 'This file is protected with a password. Save it without one and bring it in again.')
  const out = new Map<string, Uint8Array>()
  let total = 0
  let count = 0
  let fault: Fault | undefined
  const unzip = new Unzip(file => {
    if (++count > limits.entries) throw new Fault('bomb', 'This file holds too many parts to be a book.')
    if (/(^|[\\/])\.\.([\\/]|$)|^[\\/]|^[A-Za-z]:/.test(file.name)) throw new Fault('path', 'This file has a part whose path climbs out of the archive; it is not read.')
    if (!wanted(file.name)) return
    const chunks: Uint8Array[] = []
    let size = 0
    file.ondata = (err, chunk, final) => {
      if (err) throw err
      size += chunk.length
      total += chunk.length
      if (size > limits.entry || total > limits.total || (size > RATIO_FROM && file.size && size > file.size * MOST_RATIO)) {
        fault = new Fault('bomb', 'This file unpacks to far more than a book can hold; it is not read.')
        throw fault
      }
      if (chunk.length) chunks.push(chunk)
      if (final) out.set(file.name, joinBytes(chunks))
    }
    file.start()
  })
  unzip.register(UnzipInflate)
  try {
    // Small pushes keep what is inflated at once small, too.
    const STEP = 1 << 16
    for (let i = 0; i < bytes.length; i += STEP) {
      unzip.push(bytes.subarray(i, Math.min(i + STEP, bytes.length)), i + STEP >= bytes.length)
      report?.({ stage: 'Unpacking', done: i, of: bytes.length })
    }
  } catch (e) {
    if (fault) throw fault
    if (e instanceof Fault) throw e
    throw new Fault('damaged', 'This file is damaged: its archive cannot be unpacked.')
  }
  // The index at the end says how many parts there should be: a file cut short must not pass for a whole one.
  const told = entriesTold(bytes)
  if (told === undefined || (told !== 0xffff && told !== count)) throw new Fault('damaged', 'This file is damaged: it was cut short.')
  return out
}

/** Entries by the end-of-central-directory record (APPNOTE 4.3.16), which lies within 64 kB of the end. */
function entriesTold(bytes: Uint8Array): number | undefined {
  for (let i = bytes.length - 22; i >= Math.max(0, bytes.length - 22 - 0xffff); i--) {
    if (bytes[i] === 0x50 && bytes[i + 1] === 0x4b && bytes[i + 2] === 5 && bytes[i + 3] === 6) return bytes[i + 10]! | (bytes[i + 11]! << 8)
  }
  return undefined
}
