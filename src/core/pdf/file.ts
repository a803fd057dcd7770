import { PDFContext, PDFHexString, type PDFObject, PDFRawStream, PDFRef, PDFString } from '@cantoo/pdf-lib'
import { sha256 } from '@noble/hashes/sha2.js'
import type { Deflate } from './deflate'

type Literal = unknown

/** Takes the bytes of a file as they are made, in order. Chunks are not kept by the writer: a sink may hand them on at once. */
export type Sink = (chunk: Uint8Array) => unknown

/**
 * A PDF that is written as it is made: objects go to the sink as they come, the cross-reference table last. Object numbers are
 * given in advance, so that pages can refer to what follows. Streams are packed while the next are made, and written in order all the
 * same. The file's ID is a hash of its bytes: the same book gives the same file.
 */
export class PdfFile {
  readonly context = PDFContext.create()
  private readonly offsets: number[] = []
  private readonly hash = sha256.create()
  private written = 0
  private next = 1
  /** What waits for a stream before it to be packed; undefined where nothing waits. */
  private queue: Promise<void> | undefined

  constructor(
    private readonly sink: Sink,
    private readonly deflate: Deflate,
    version: '1.4' | '1.6' = '1.6',
  ) {
    this.put(ascii(`%PDF-${version}\n%\u00e2\u00e3\u00cf\u00d3\n`))
  }

  ref(): PDFRef {
    return PDFRef.of(this.next++)
  }

  /** Writes an object given as plain values (names as strings, other strings by `text`). */
  object(value: Literal, ref = this.ref()): PDFRef {
    const o = (
      typeof value === 'object' && value !== null && 'sizeInBytes' in value ? value : this.context.obj(value as never)
    ) as PDFObject
    const body = bodyOf(o)
    if (this.queue) this.later(() => this.write(ref, body))
    else this.write(ref, body)
    return ref
  }

  /** Writes a stream, deflated unless it already is packed. */
  stream(bytes: Uint8Array, dict: Record<string, unknown> = {}, ref = this.ref(), packed = false): PDFRef {
    if (packed) return this.object(this.raw(dict, bytes), ref)
    const packing = this.deflate(bytes)
    // It is waited for in its turn: until then nobody may call its failure unheard.
    packing.catch(() => undefined)
    this.later(async () => this.write(ref, bodyOf(this.raw({ ...dict, Filter: 'FlateDecode' }, await packing))))
    return ref
  }

  /** Resolves when everything so far is written. Throws what packing threw. */
  async settled(): Promise<void> {
    await this.queue
    this.queue = undefined
  }

  /** A text string in any script. */
  text(s: string): PDFHexString {
    return PDFHexString.fromText(s)
  }

  /** A date as PDF writes it: D:YYYYMMDDHHmmSSZ. */
  date(iso: string): PDFString {
    return PDFString.of(`D:${iso.replace(/[-:T]/g, '').slice(0, 14)}Z`)
  }

  /** Ends the file: cross-reference table and trailer. */
  async end(root: PDFRef, info: PDFRef): Promise<void> {
    await this.settled()
    const id = [...this.hash.digest()]
      .slice(0, 16)
      .map(b => b.toString(16).padStart(2, '0'))
      .join('')
      .toUpperCase()
    const start = this.written
    let table = `xref\n0 ${this.next}\n0000000000 65535 f \n`
    for (let i = 1; i < this.next; i++)
      table += `${String(this.offsets[i] ?? 0).padStart(10, '0')} 00000 ${this.offsets[i] === undefined ? 'f' : 'n'} \n`
    this.sink(
      ascii(
        `${table}trailer\n<< /Size ${this.next} /Root ${root.objectNumber} 0 R /Info ${info.objectNumber} 0 R /ID [<${id}> <${id}>] >>\nstartxref\n${start}\n%%EOF\n`,
      ),
    )
  }

  private raw(dict: Record<string, unknown>, data: Uint8Array): PDFRawStream {
    return PDFRawStream.of(this.context.obj(dict as never) as never, data)
  }

  private later(write: () => void | Promise<void>): void {
    this.queue = (this.queue ?? Promise.resolve()).then(write)
    this.queue.catch(() => undefined)
  }

  private write(ref: PDFRef, body: Uint8Array): void {
    this.offsets[ref.objectNumber] = this.written
    this.put(ascii(`${ref.objectNumber} 0 obj\n`))
    this.put(body)
    this.put(ascii('\nendobj\n'))
  }

  private put(bytes: Uint8Array): void {
    this.hash.update(bytes)
    this.sink(bytes)
    this.written += bytes.length
  }
}

function bodyOf(o: PDFObject): Uint8Array {
  const body = new Uint8Array(o.sizeInBytes())
  o.copyBytesInto(body, 0)
  return body
}

function ascii(s: string): Uint8Array {
  const b = new Uint8Array(s.length)
  for (let i = 0; i < s.length; i++) b[i] = s.charCodeAt(i)
  return b
}
