/** What a font's maker says of its use: what its licence bits allow in documents, and its own words. */
export interface FontRights {
  embedding: 'for any use' | 'in documents that are edited' | 'in documents that are read and printed'
  copyright?: string
  licence?: string
}

/** Names of a font by their numbers (OpenType, name table). */
const COPYRIGHT = 0
const LICENCE = 13

/** Reads a font's rights from its tables. Undefined where it is no single font, or broken. */
export function fontRights(bytes: Uint8Array): FontRights | undefined {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength)
  try {
    const at = new Map<string, number>()
    for (let i = 0; i < view.getUint16(4); i++)
      at.set(String.fromCharCode(...bytes.subarray(12 + i * 16, 16 + i * 16)), view.getUint32(20 + i * 16))
    const [os2, name] = [at.get('OS/2'), at.get('name')]
    if (os2 === undefined) return undefined
    const bits = view.getUint16(os2 + 8) & 0x000f
    const said = (id: number): string | undefined => (name === undefined ? undefined : nameIn(view, name, id))
    const [copyright, licence] = [said(COPYRIGHT), said(LICENCE)]
    return {
      embedding:
        bits === 0
          ? 'for any use'
          : bits & 8
            ? 'in documents that are edited'
            : 'in documents that are read and printed',
      ...(copyright ? { copyright } : {}),
      ...(licence ? { licence } : {}),
    }
  } catch {
    // Tables that reach out of the file say nothing.
    return undefined
  }
}

/** A name of a font: as Unicode where it has it so, else in Latin letters. */
function nameIn(view: DataView, table: number, id: number): string | undefined {
  const texts = table + view.getUint16(table + 4)
  let latin: string | undefined
  for (let i = 0; i < view.getUint16(table + 2); i++) {
    const at = table + 6 + i * 12
    if (view.getUint16(at + 6) !== id) continue
    const platform = view.getUint16(at)
    const from = view.byteOffset + texts + view.getUint16(at + 10)
    const bytes = new Uint8Array(view.buffer, from, view.getUint16(at + 8))
    if (platform === 3 || platform === 0) return new TextDecoder('utf-16be').decode(bytes).trim()
    latin ??= new TextDecoder('latin1').decode(bytes).trim()
  }
  return latin
}
