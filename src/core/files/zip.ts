import CRC32 from 'crc-32'
import { Inflate, inflateSync } from 'fflate'
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
/** Bytes inflated at a time: what comes out of them is counted before more goes in. */
const STEP = 1 << 16

/** An entry as the archive's index at its end describes it (APPNOTE 4.3.12). */
interface Entry {
  name: string
  method: number
  encrypted: boolean
  crc: number
  packed: number
  size: number
  at: number
}

/**
 * Whoever accepts a damaged archive hears of every entry that is not what its checksum says: `kept` are the bytes as far as
 * they could be unpacked. Without it a damaged archive is refused.
 */
export type Salvage = (name: string, kept: Uint8Array | undefined) => void

/**
 * Reads the entries of a ZIP that `wanted` names, by the index at its end; each is counted while it inflates and held against
 * its checksum, so a false size in a header does not help it and a changed byte is not passed over. Throws a Fault for damaged,
 * encrypted or harmful archives; the code `damaged-part` means that the rest could be saved.
 */
export function readZip(
  bytes: Uint8Array,
  wanted: (name: string) => boolean,
  limits: ZipLimits = manuscriptLimits,
  report?: Report,
  salvage?: Salvage,
): Map<string, Uint8Array> {
  if (bytes.length < 22 || bytes[0] !== 0x50 || bytes[1] !== 0x4b)
    throw new Fault('damaged', 'This file is damaged: it is no ZIP archive inside.')
  const entries = readIndex(bytes, limits)
  refuseHarm(entries, bytes, limits)
  const out = new Map<string, Uint8Array>()
  let total = 0
  let done = 0
  for (const entry of entries) {
    report?.({ stage: 'Unpacking', done, of: bytes.length })
    done += entry.packed
    if (entry.name.endsWith('/') || !wanted(entry.name)) continue
    const [data, whole] = unpack(bytes, entry, limits, total)
    total += data?.length ?? 0
    if (whole) out.set(entry.name, data!)
    else if (!salvage)
      throw new Fault(
        'damaged-part',
        `This file is damaged: its part “${entry.name.slice(0, 80)}” is not what it was when the file was written.`,
        entry.name,
      )
    else salvage(entry.name, data)
  }
  return out
}

const damaged = (why: string): Fault => new Fault('damaged', `This file is damaged: ${why}.`)
const bomb = (): Fault => new Fault('bomb', 'This file unpacks to far more than a book can hold; it is not read.')

/** The index at the archive's end. What it says is checked where it is used. */
function readIndex(bytes: Uint8Array, limits: ZipLimits): Entry[] {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)
  const end = findEnd(view)
  if (end === undefined) throw damaged('it was cut short')
  let [count, size, at] = [
    view.getUint16(end + 10, true),
    view.getUint32(end + 12, true),
    view.getUint32(end + 16, true),
  ]
  if (count === 0xffff || size === 0xffffffff || at === 0xffffffff) {
    // Zip64 (4.3.14): a locator stands before the end record.
    const locator = end - 20
    if (locator >= 0 && view.getUint32(locator, true) === 0x07064b50) {
      const record = Number(view.getBigUint64(locator + 8, true))
      if (record + 56 > bytes.length || view.getUint32(record, true) !== 0x06064b50)
        throw damaged('its index cannot be read')
      count = Number(view.getBigUint64(record + 32, true))
      size = Number(view.getBigUint64(record + 40, true))
      at = Number(view.getBigUint64(record + 48, true))
    }
  }
  if (count > limits.entries) throw new Fault('bomb', 'This file holds too many parts to be a book.')
  if (at + size > end) throw damaged('it was cut short')
  const out: Entry[] = []
  const decoder = new TextDecoder()
  let p = at
  for (let i = 0; i < count; i++) {
    if (p + 46 > bytes.length || view.getUint32(p, true) !== 0x02014b50) throw damaged('its index cannot be read')
    const [nameLength, extraLength, commentLength] = [
      view.getUint16(p + 28, true),
      view.getUint16(p + 30, true),
      view.getUint16(p + 32, true),
    ]
    const name = decoder.decode(bytes.subarray(p + 46, p + 46 + nameLength))
    const entry: Entry = {
      name,
      encrypted: !!(view.getUint16(p + 8, true) & 1),
      method: view.getUint16(p + 10, true),
      crc: view.getInt32(p + 16, true),
      packed: view.getUint32(p + 20, true),
      size: view.getUint32(p + 24, true),
      at: view.getUint32(p + 42, true),
    }
    readLargeSizes(view, p + 46 + nameLength, extraLength, entry)
    out.push(entry)
    p += 46 + nameLength + extraLength + commentLength
  }
  return out
}

/** The end-of-central-directory record (4.3.16): the last one whose comment ends where the file does. */
function findEnd(view: DataView): number | undefined {
  for (let i = view.byteLength - 22; i >= Math.max(0, view.byteLength - 22 - 0xffff); i--) {
    if (view.getUint32(i, true) === 0x06054b50 && i + 22 + view.getUint16(i + 20, true) === view.byteLength) return i
  }
  return undefined
}

/** Sizes beyond 32 bits stand in an extra field (4.5.3). */
function readLargeSizes(view: DataView, at: number, length: number, entry: Entry): void {
  for (let p = at; p + 4 <= Math.min(at + length, view.byteLength);) {
    const [id, size] = [view.getUint16(p, true), view.getUint16(p + 2, true)]
    if (id === 1) {
      let q = p + 4
      for (const key of ['size', 'packed', 'at'] as const) {
        if (entry[key] !== 0xffffffff) continue
        if (q + 8 > Math.min(p + 4 + size, view.byteLength)) return
        entry[key] = Number(view.getBigUint64(q, true))
        q += 8
      }
      return
    }
    p += 4 + size
  }
}

/** Refuses what no program that writes books does: paths that climb out, a name twice, entries that overlap or that sum up to more than a book. */
function refuseHarm(entries: Entry[], bytes: Uint8Array, limits: ZipLimits): void {
  const names = new Set<string>()
  let total = 0
  for (const e of entries) {
    if (/(^|[\\/])\.\.([\\/]|$)|^[\\/]|^[A-Za-z]:/.test(e.name))
      throw new Fault('path', 'This file has a part whose path climbs out of the archive; it is not read.')
    if (e.encrypted)
      throw new Fault('encrypted', 'This file is protected with a password. Save it without one and bring it in again.')
    if (names.has(e.name))
      throw damaged(`its part “${e.name.slice(0, 80)}” is in it twice, and which one counts cannot be told`)
    names.add(e.name)
    total += e.size
    if (e.size > limits.entry || total > limits.total) throw bomb()
    if (e.at + 30 + e.packed > bytes.length) throw damaged('it was cut short')
  }
  const ordered = [...entries].sort((a, b) => a.at - b.at)
  for (let i = 1; i < ordered.length; i++)
    if (ordered[i - 1]!.at + 30 + ordered[i - 1]!.packed > ordered[i]!.at)
      throw damaged('its parts lie over one another')
}

/** The bytes of an entry and whether they are what its checksum says. Undefined where nothing could be unpacked. */
function unpack(bytes: Uint8Array, entry: Entry, limits: ZipLimits, before: number): [Uint8Array | undefined, boolean] {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)
  if (view.getUint32(entry.at, true) !== 0x04034b50) return [undefined, false]
  const from = entry.at + 30 + view.getUint16(entry.at + 26, true) + view.getUint16(entry.at + 28, true)
  const packed = bytes.subarray(from, from + entry.packed)
  if (packed.length < entry.packed) return [undefined, false]
  if (entry.method === 0) return [packed, packed.length === entry.size && CRC32.buf(packed) === entry.crc]
  if (entry.method !== 8)
    throw new Fault(
      'packing',
      `This file is packed in a way that is not read (its part “${entry.name.slice(0, 80)}”). Save it again with the program that made it.`,
    )
  if (entry.size > RATIO_FROM && entry.size > entry.packed * MOST_RATIO) throw bomb()
  return unpackedAtOnce(packed, entry) ?? unpackedInSteps(packed, entry, limits, before)
}

/** An entry that is what the index says, which nearly all are, into the room that the index claims and no more; undefined where it is something else. */
function unpackedAtOnce(packed: Uint8Array, entry: Entry): [Uint8Array, boolean] | undefined {
  try {
    const data = inflateSync(packed, { out: new Uint8Array(entry.size) })
    return data.length === entry.size && CRC32.buf(data) === entry.crc ? [data, true] : undefined
  } catch {
    return undefined
  }
}

/** As far as an entry can be unpacked, counted while it inflates: what the index says of its size need not be true. */
function unpackedInSteps(
  packed: Uint8Array,
  entry: Entry,
  limits: ZipLimits,
  before: number,
): [Uint8Array | undefined, boolean] {
  const chunks: Uint8Array[] = []
  let size = 0
  let crc = 0
  let ended = false
  const inflate = new Inflate((chunk, final) => {
    size += chunk.length
    if (size > limits.entry || before + size > limits.total || (size > RATIO_FROM && size > entry.packed * MOST_RATIO))
      throw bomb()
    crc = CRC32.buf(chunk, crc)
    if (chunk.length) chunks.push(chunk)
    ended = final
  })
  try {
    for (let i = 0; i < packed.length; i += STEP) inflate.push(packed.subarray(i, i + STEP), i + STEP >= packed.length)
  } catch (e) {
    if (e instanceof Fault) throw e
    return [chunks.length ? joinBytes(chunks) : undefined, false]
  }
  const data = chunks.length ? joinBytes(chunks) : new Uint8Array()
  return [data, ended && size === entry.size && crc === entry.crc]
}

/** Names of what an archive says that it holds; none where it cannot be told. */
export function entryNames(bytes: Uint8Array): Set<string> {
  try {
    return new Set(readIndex(bytes, manuscriptLimits).map(e => e.name))
  } catch {
    return new Set() // Whoever reads it says what is wrong with it.
  }
}
