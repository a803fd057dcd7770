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
  return profile('GRAY', 'XYZ ', name, [['kTRC', curve]])
}

/** Steps of each axis of a colour table. */
const GRID = 21

/**
 * An RGB output profile (ICC.1:2001-12, 10.8): sRGB (IEC 61966-2-1) as tables to and from CIE L*a*b* of white paper, adapted to D50 by
 * Bradford's matrix. For colour books whose printer separates the colours itself.
 */
export function rgbProfile(name: string): Uint8Array {
  const step = (i: number): number => i / (GRID - 1)
  const to = lut(3, 3, (r, g, b) => labCode(labOf(step(r), step(g), step(b))))
  const from = lut(3, 3, (l, a, b) => rgbOf(labAt(step(l), step(a), step(b))).map(v => Math.round(v * 65535)))
  const gamut = lut(3, 1, (l, a, b) => {
    const lab = labAt(step(l), step(a), step(b))
    const back = labOf(...rgbOf(lab))
    return [Math.hypot(lab[0] - back[0], lab[1] - back[1], lab[2] - back[2]) < 4 ? 0 : 65535]
  })
  // One table serves all intents: the colours of sRGB are what they are.
  return profile('RGB ', 'Lab ', name, [
    ['A2B0', to],
    ['A2B1', to],
    ['A2B2', to],
    ['B2A0', from],
    ['B2A1', from],
    ['B2A2', from],
    ['gamt', gamut],
  ])
}

type Three = [number, number, number]
const D50: Three = [0.9642, 1, 0.8249]
const toXyz: [Three, Three, Three] = [
  [0.4360747, 0.3850649, 0.1430804],
  [0.2225045, 0.7168786, 0.0606169],
  [0.0139322, 0.0971045, 0.7141733],
]
const fromXyz: [Three, Three, Three] = [
  [3.1338561, -1.6168667, -0.4906146],
  [-0.9787684, 1.9161415, 0.033454],
  [0.0719453, -0.2289914, 1.4052427],
]
const times = (m: [Three, Three, Three], v: Three): Three =>
  m.map(r => r[0] * v[0] + r[1] * v[1] + r[2] * v[2]) as Three
const linear = (v: number): number => (v <= 0.04045 ? v / 12.92 : ((v + 0.055) / 1.055) ** 2.4)
const bent = (v: number): number => (v <= 0.0031308 ? v * 12.92 : 1.055 * v ** (1 / 2.4) - 0.055)
const cube = (t: number): number => (t > 216 / 24389 ? Math.cbrt(t) : (t * (24389 / 27) + 16) / 116)
const cubed = (f: number): number => (f ** 3 > 216 / 24389 ? f ** 3 : (116 * f - 16) / (24389 / 27))

/** sRGB (0…1) as L*a*b* under D50. */
function labOf(r: number, g: number, b: number): Three {
  const [x, y, z] = times(toXyz, [linear(r), linear(g), linear(b)]).map((v, i) => cube(v / D50[i]!)) as Three
  return [116 * y - 16, 500 * (x - y), 200 * (y - z)]
}

/** L*a*b* as the nearest sRGB by channel. */
function rgbOf([l, a, b]: Three): Three {
  const y = (l + 16) / 116
  const xyz = [y + a / 500, y, y - b / 200].map((f, i) => cubed(f) * D50[i]!) as Three
  return times(fromXyz, xyz).map(v => Math.min(1, Math.max(0, bent(Math.max(0, v))))) as Three
}

// 16-bit L*a*b* of version 2: L* 100 is 0xff00, a* and b* 0 are 0x8000, 256 steps a unit.
const labCode = ([l, a, b]: Three): number[] =>
  [Math.round((l / 100) * 0xff00), Math.round(a * 256) + 0x8000, Math.round(b * 256) + 0x8000].map(v =>
    Math.min(65535, Math.max(0, v)),
  )
const labAt = (l: number, a: number, b: number): Three => [
  (l * 65535 * 100) / 0xff00,
  (a * 65535 - 0x8000) / 256,
  (b * 65535 - 0x8000) / 256,
]

/** A table of type lut16 (ICC.1:2001-12, 6.5.7) over GRID steps, straight on both sides. */
function lut(inputs: 3, outputs: 1 | 3, at: (a: number, b: number, c: number) => number[]): Uint8Array {
  const out = new Uint8Array(52 + inputs * 4 + GRID ** 3 * outputs * 2 + outputs * 4)
  const v = new DataView(out.buffer)
  put(out, 0, 'mft2')
  out.set([inputs, outputs, GRID], 8)
  for (const i of [0, 4, 8]) v.setInt32(12 + i * 4, 65536)
  v.setUint16(48, 2)
  v.setUint16(50, 2)
  let p = 52
  const straight = (n: number): void => {
    for (let i = 0; i < n; i++, p += 4) v.setUint16(p + 2, 65535)
  }
  straight(inputs)
  for (let a = 0; a < GRID; a++)
    for (let b = 0; b < GRID; b++)
      for (let c = 0; c < GRID; c++)
        for (const value of at(a, b, c)) {
          v.setUint16(p, value)
          p += 2
        }
  straight(outputs)
  return out
}

/** An output profile of these tags, with its name, rights and white. Tags with the same bytes are written once. */
function profile(
  space: 'GRAY' | 'RGB ',
  connection: 'XYZ ' | 'Lab ',
  name: string,
  own: [string, Uint8Array][],
): Uint8Array {
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
  const tags: [string, Uint8Array][] = [['desc', description], ['cprt', rights], ['wtpt', white], ...own]
  const head = 128 + 4 + tags.length * 12
  const padded = (n: number): number => (n + 3) & ~3
  const size = [...new Set(tags.map(([, b]) => b))].reduce((n, b) => n + padded(b.length), head)
  const out = new Uint8Array(size)
  const view = new DataView(out.buffer)
  view.setUint32(0, size)
  view.setUint32(8, 0x02400000)
  put(out, 12, `prtr${space}${connection}`)
  ;[2026, 1, 1, 0, 0, 0].forEach((v, i) => view.setUint16(24 + i * 2, v))
  put(out, 36, 'acsp')
  ;[0.9642, 1, 0.8249].forEach((v, i) => view.setInt32(68 + i * 4, Math.round(v * 65536)))
  view.setUint32(128, tags.length)
  let end = head
  const placed = new Map<Uint8Array, number>()
  tags.forEach(([name, bytes], i) => {
    let at = placed.get(bytes)
    if (at === undefined) {
      placed.set(bytes, (at = end))
      out.set(bytes, at)
      end += padded(bytes.length)
    }
    put(out, 132 + i * 12, name)
    view.setUint32(136 + i * 12, at)
    view.setUint32(140 + i * 12, bytes.length)
  })
  return out
}

function put(to: Uint8Array, at: number, ascii: string): void {
  for (let i = 0; i < ascii.length; i++) to[at + i] = ascii.charCodeAt(i)
}
