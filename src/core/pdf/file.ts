import { PDFContext, PDFHexString, type PDFObject, PDFRawStream, PDFRef, PDFString } from '@cantoo/pdf-lib'
import { sha256 } from '@noble/hashes/sha2.js'
import { zlibSync } from 'fflate'

type Literal = unknown

/** Takes the bytes of a file as they are made, in order. Chunks are not kept by the writer: a sink may hand them on at once. */
export type Sink = (chunk: Uint8Array) => unknown

/**
 * A PDF that is written as it is made: objects go to the sink as they come, the cross-reference table last. Object numbers are
 * given in advance, so that pages can refer to what follows. The file's ID is a hash of its bytes: the same book gives the same file.
 */
export class PdfFile {
  readonly context = PDFContext.create()
  private readonly offsets: number[] = []
  private readonly hash = sha256.create()
  private written = 0
  private next = 1

  constructor(
    private readonly sink: Sink,
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
    const body = new Uint8Array(o.sizeInBytes())
    o.copyBytesInto(body, 0)
    this.offsets[ref.objectNumber] = this.written
    this.put(ascii(`${ref.objectNumber} 0 obj\n`))
    this.put(body)
    this.put(ascii('\nendobj\n'))
    return ref
  }

  /** Writes a stream, deflated unless it already is packed. */
  stream(bytes: Uint8Array, dict: Record<string, unknown> = {}, ref = this.ref(), packed = false): PDFRef {
    const data = packed ? bytes : zlibSync(bytes, { level: 6 })
    const full = packed ? dict : { ...dict, Filter: 'FlateDecode' }
    return this.object(PDFRawStream.of(this.context.obj(full as never) as never, data), ref)
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
  end(root: PDFRef, info: PDFRef): void {
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

  private put(bytes: Uint8Array): void {
    this.hash.update(bytes)
    this.sink(bytes)
    this.written += bytes.length
  }
}

function ascii(s: string): Uint8Array {
  const b = new Uint8Array(s.length)
  for (let i = 0; i < s.length; i++) b[i] = s.charCodeAt(i)
  return b
}
