/** Packs bytes in the zlib format (RFC 1950), as the filter FlateDecode unpacks them. The platform's own is used: the same bytes in give the same out on one platform. */
export type Deflate = (bytes: Uint8Array) => Promise<Uint8Array>

/** By the compressor that browsers have, and Node: no thread of its own, but native. */
export const streamDeflate: Deflate = async bytes => {
  const { writable, readable } = new CompressionStream('deflate')
  const writer = writable.getWriter()
  // What fails here fails in the reading below, too, and is heard there.
  void writer.write(bytes as Uint8Array<ArrayBuffer>).catch(() => undefined)
  void writer.close().catch(() => undefined)
  return new Uint8Array(await new Response(readable).arrayBuffer())
}
