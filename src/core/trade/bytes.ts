/** The same bytes in a buffer of their own: a view keeps all it is cut from, wherever it is sent or kept. */
export const ownBytes = (bytes: Uint8Array): Uint8Array<ArrayBuffer> =>
  bytes.buffer instanceof ArrayBuffer && bytes.byteLength === bytes.buffer.byteLength
    ? (bytes as Uint8Array<ArrayBuffer>)
    : new Uint8Array(bytes)

/** The same bytes as parts of a blob want them typed: nothing here lies in memory that threads share. A blob takes a view's own bytes only. */
export const unshared = (bytes: Uint8Array): Uint8Array<ArrayBuffer> => bytes as Uint8Array<ArrayBuffer>

/** One array from many, in order. */
export function joinBytes(chunks: Uint8Array[]): Uint8Array {
  if (chunks.length === 1) return chunks[0]!
  const all = new Uint8Array(chunks.reduce((n, c) => n + c.length, 0))
  let at = 0
  for (const c of chunks) {
    all.set(c, at)
    at += c.length
  }
  return all
}

/** Whether bytes are a PDF's, by how they begin. */
export const isPdf = (bytes: Uint8Array): boolean =>
  bytes[0] === 0x25 && bytes[1] === 0x50 && bytes[2] === 0x44 && bytes[3] === 0x46

/** Whether a file begins as a JPEG does. */
export const isJpeg = (bytes: Uint8Array): boolean => bytes[0] === 0xff && bytes[1] === 0xd8
