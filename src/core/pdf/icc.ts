/**
 * A grey output profile (ICC.1:2001-12, version 2.4): one ink on white paper whose tone grows darker by `gain` at the middle, as
 * presses do. Made here so that a file can say what its greys mean without borrowing anybody's profile. About half a kilobyte;
 * the same bytes each time.
 */
export function greyProfile(name: string, gain: number): Uint8Array {
  const points = 33
  const curve = new Uint8Array(12 + points * 2)
  put(curve, 0, 'curv')
  new DataView(curve.buffer).setUint32(8, points)
  for (let i = 0; i < points; i++) {
    // The device value is light (0 black); ink = 1 − value spreads by the gain, and what shows is the paper left between.
    const ink = 1 - i / (points - 1)
    const spread = Math.min(1, ink + 4 * gain * ink * (1 - ink))
    new DataView(curve.buffer).setUint16(12 + i * 2, Math.round((1 - spread) * 65535))
  }
  const description = new Uint8Array(12 + name.length + 1 + 78)
  put(description, 0, 'desc')
  new DataView(description.buffer).setUint32(8, name.length + 1)
  put(description, 12, name)
  const text = 'Free to use by anyone for anything.'
  const rights = new Uint8Array(8 + text.length + 1)
  put(rights, 0, 'text')
  put(rights, 8, text)
  // The profile connection space's own white, D50.
  const white = new Uint8Array(20)
  put(white, 0, 'XYZ ')
  ;[0.9642, 1, 0.8249].forEach((v, i) => new DataView(white.buffer).setInt32(8 + i * 4, Math.round(v * 65536)))
  const tags: [string, Uint8Array][] = [['desc', description], ['cprt', rights], ['wtpt', white], ['kTRC', curve]]
  const head = 128 + 4 + tags.length * 12
  const padded = (n: number): number => (n + 3) & ~3
  const size = tags.reduce((n, [, b]) => n + padded(b.length), head)
  const out = new Uint8Array(size)
  const view = new DataView(out.buffer)
  view.setUint32(0, size)
  view.setUint32(8, 0x02400000)
  put(out, 12, 'prtrGRAYXYZ ')
  ;[2026, 1, 1, 0, 0, 0].forEach((v, i) => view.setUint16(24 + i * 2, v))
  put(out, 36, 'acsp')
  ;[0.9642, 1, 0.8249].forEach((v, i) => view.setInt32(68 + i * 4, Math.round(v * 65536)))
  view.setUint32(128, tags.length)
  let at = head
  tags.forEach(([name, bytes], i) => {
    put(out, 132 + i * 12, name)
    view.setUint32(136 + i * 12, at)
    view.setUint32(140 + i * 12, bytes.length)
    out.set(bytes, at)
    at += padded(bytes.length)
  })
  return out
}

function put(to: Uint8Array, at: number, ascii: string): void {
  for (let i = 0; i < ascii.length; i++) to[at + i] = ascii.charCodeAt(i)
}
