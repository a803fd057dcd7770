import { Fault, type Report } from '../trade'
import { tidied, usualKinds } from './dirt'
import type { RawManuscript } from './raw'
import type { Incoming, Reading } from './readers/reader'
import { readers } from './readers/registry'
import { inOrder } from './several'
import { decodeText } from './text'
import { type Understood, understand } from './understand'
import { entryNames, recordingTypeOf } from '../files'

/** What a file is, by its first bytes; names are only believed where bytes cannot tell. */
export type FileKind = 'zip' | 'ole' | 'pdf' | 'picture' | 'recording' | 'rtf' | 'text' | 'empty'

export function sniff(bytes: Uint8Array): FileKind {
  if (bytes.every(b => b === 32 || b === 10 || b === 13 || b === 9)) return 'empty'
  const at = (...m: number[]): boolean => m.every((v, i) => bytes[i] === v)
  if (at(0x50, 0x4b)) return 'zip'
  if (at(0xd0, 0xcf, 0x11, 0xe0)) return 'ole'
  if (at(0x25, 0x50, 0x44, 0x46)) return 'pdf'
  if (at(0x89, 0x50, 0x4e, 0x47) || at(0xff, 0xd8, 0xff) || at(0x47, 0x49, 0x46)) return 'picture'
  if (recordingTypeOf(bytes)) return 'recording'
  if (at(0x7b, 0x5c, 0x72, 0x74, 0x66)) return 'rtf'
  return 'text'
}

const MOST_BYTES = 300e6
/** Plain text beyond this, in bytes or in lines, is no manuscript. */
const MOST_TEXT = 32e6
const MOST_LINES = 600_000

/** Reads a manuscript of any kind that `readers` knows. Throws a Fault with one plain sentence where it cannot. `pictures` are files that came with a text; `report` hears how far it has come; `salvage` takes what can be saved of a damaged file, and counts what could not. */
export function readManuscript(
  name: string,
  bytes: Uint8Array,
  pictures?: Map<string, Uint8Array>,
  report?: Report,
  salvage = false,
): Understood {
  return finished(understand(readRaw(name, bytes, { beside: pictures, report, salvage }), name))
}

/**
 * Reads several files as one book, in the order in which they come; pictures and recordings among them are those of the texts beside them. What
 * cannot be read is counted with its reason, and stops no other. Throws a Fault where none can be read.
 */
export function readManuscripts(
  files: readonly { name: string; bytes: Uint8Array }[],
  { report, salvage = false }: { report?: Report; salvage?: boolean } = {},
): Understood {
  const pictures = files.filter(f => ['picture', 'recording'].includes(sniff(f.bytes)))
  const beside = new Map(pictures.map(f => [f.name, f.bytes]))
  const read: { name: string; raw: RawManuscript }[] = []
  const failed: { name: string; why: Fault }[] = []
  const texts = files.filter(f => !beside.has(f.name))
  for (const [i, { name, bytes }] of texts.entries()) {
    report?.({ stage: `Reading ${name}`, done: i, of: texts.length })
    try {
      read.push({ name, raw: readRaw(name, bytes, { beside, report: undefined, salvage }) })
    } catch (e) {
      if (!(e instanceof Fault)) throw e
      failed.push({ name, why: e })
    }
  }
  if (!read.length) throw failed[0]?.why ?? new Fault('empty', 'None of these files has a text in it.')
  const raw = inOrder(read)
  const named = new Set(read.flatMap(r => [...r.raw.pictures.values()]))
  for (const { name, bytes } of pictures)
    if (!named.has(bytes)) raw.dropped.add(`${sniff(bytes)}s that no text names`, name)
  for (const { name, why } of failed) raw.dropped.add(`files that could not be read. ${why.message}`, name)
  // Files that are one book have no name in common.
  return finished(understand(raw, read.length > 1 ? '' : read[0]!.name))
}

function readRaw(name: string, bytes: Uint8Array, reading: Reading): RawManuscript {
  if (bytes.length > MOST_BYTES)
    throw new Fault('too-large', 'This file is larger than any manuscript (300 MB); it is not read.')
  const kind = sniff(bytes)
  const ending = /\.([A-Za-z0-9]+)$/.exec(name)?.[1]?.toLowerCase() ?? ''
  switch (kind) {
    case 'empty':
      throw new Fault('empty', 'This file is empty.')
    case 'ole':
      throw containsUtf16(bytes, 'EncryptedPackage')
        ? new Fault(
            'encrypted',
            'This document is protected with a password. Save it without one and bring it in again.',
          )
        : new Fault(
            'old-format',
            'This is the older binary kind of word-processor file. Open it in your word processor, save it as .docx, and bring that in.',
          )
    case 'pdf':
      throw new Fault('pdf', 'This is a PDF, not a manuscript: its text has no structure to read.')
    case 'picture':
      throw new Fault('picture', 'This is a picture, not a manuscript.')
    case 'recording':
      throw new Fault('recording', 'This is a sound or a film, not a manuscript.')
    case 'rtf':
      throw new Fault('rtf', 'This is a rich-text file. Save it as .docx and bring that in.')
    default: {
      if (ending === 'docx' && kind !== 'zip')
        throw new Fault('damaged', 'This file is damaged: its name says .docx, but it is no such document inside.')
      if (kind === 'text' && (bytes.length > MOST_TEXT || countLines(bytes) > MOST_LINES))
        throw new Fault('too-large', 'This text is longer than any book; it is not read.')
      const file = incoming(name, ending, bytes, kind === 'zip')
      if (kind === 'text' && !file.text().trim()) throw new Fault('empty', 'This file is empty.')
      const reader = readers.find(r => r.knows(file))!
      return reader.read(file, reading)
    }
  }
}

/** What is known of a file before it is read. */
function incoming(name: string, ending: string, bytes: Uint8Array, isZip: boolean): Incoming {
  let text: string | undefined
  return {
    name,
    ending,
    bytes,
    entries: isZip ? entryNames(bytes) : new Set(),
    text: () => (text ??= isZip ? '' : decodeText(bytes)),
  }
}

function finished(u: Omit<Understood, 'dirt'>): Understood {
  const words = u.book.sections.some(
    s => s.title || (!s.made && (s.numbered || s.doc.content.some(b => b.type !== 'paragraph' || b.content?.length))),
  )
  if (!words) throw new Fault('empty', 'This document has no text in it.')
  const { book, found } = tidied(u.book, usualKinds)
  const cleaned = found
    .filter(d => usualKinds.has(d.id))
    .map(({ what, does, count, places, letters }) => ({
      what: `${what}: ${does}`,
      count,
      places,
      ...(letters ? { letters } : {}),
    }))
  return {
    ...u,
    book,
    cleaned: [...u.cleaned, ...cleaned],
    dirt: found,
    ...(found.length ? { asTyped: u.book.sections } : {}),
  }
}

function countLines(bytes: Uint8Array): number {
  let n = 0
  for (const b of bytes) if (b === 10) n++
  return n
}

function containsUtf16(bytes: Uint8Array, word: string): boolean {
  const needle = [...word].flatMap(c => [c.charCodeAt(0), 0])
  const end = Math.min(bytes.length, 1 << 20) - needle.length
  outer: for (let i = 0; i <= end; i++) {
    for (let k = 0; k < needle.length; k++) if (bytes[i + k] !== needle[k]) continue outer
    return true
  }
  return false
}
