import type { Face } from './face'

/**
 * A string shaped in one face: glyph pairs and their positions, in font units. Plain arrays: a typed array costs more to make and to
 * keep than a word holds; and whole numbers in all of them (but for letter-spacing), so that what reads them is compiled once.
 */
export interface Shaped {
  face: Face
  pairs: number[]
  /** Offset of each glyph from the start, x right. */
  x: number[]
  /** Offset up from the baseline; null where all stand on it. */
  y: number[] | null
  /** Index of the first character of each glyph's cluster. */
  cluster: number[]
  advance: number
  /** Letters: clusters of glyphs that letter-spacing keeps together. */
  letters: number
  /** Characters that no face covers: they are set as a visible box. */
  missing: number
}

/** Shapes one string in one face. `features` are OpenType tags, "-" before one switches it off. */
export const shapeIn = (face: Face, text: string, features: string[], language: string): Shaped =>
  shapeTogether(face, [text], features, language)[0]!

/** A control character: no face has a glyph for it, so no kerning, ligature or context reaches across it. */
const APART = '\u0001'

/**
 * Shapes several strings in one call, each as if it stood alone; a call costs as much as a word or two. Strings run left to right
 * and do not hold the separator. `asCapitals` shows letters as capitals while pairs keep what was written.
 */
export function shapeTogether(
  face: Face,
  texts: string[],
  features: string[],
  language: string,
  asCapitals = false,
): Shaped[] {
  const { hb } = face
  const buffer = bufferOf(face)
  const all = texts.join(APART)
  buffer.clearContents()
  buffer.addText(asCapitals ? capitals(all) : all)
  buffer.setLanguage(language)
  buffer.guessSegmentProperties()
  hb.shape(face.font, buffer, featuresOf(face, features))
  const infos = buffer.getGlyphInfos()
  const positions = buffer.getGlyphPositions()
  const out: Shaped[] = []
  let from = 0
  let start = 0
  for (const text of texts) {
    const stop = start + text.length
    let to = from
    while (to < infos.length && infos[to]!.cluster < stop) to++
    out.push(word(face, all.slice(start, stop), { infos, positions, from, to, start }))
    // The separator's own glyph is passed over.
    from = to + 1
    start = stop + APART.length
  }
  return out
}

/** Glyphs `from` to `to` of what was shaped together; `start`: where their string begins in it. */
interface ShapedPart {
  infos: { cluster: number; codepoint: number }[]
  positions: { xAdvance: number; xOffset: number; yOffset: number }[]
  from: number
  to: number
  start: number
}

/** One string of several that were shaped together. */
function word(face: Face, string: string, { infos, positions, from, to, start }: ShapedPart): Shaped {
  const pairs: number[] = []
  const x: number[] = []
  const cluster: number[] = []
  let y: number[] | null = null
  let pen = 0
  let missing = 0
  let letters = 0
  let before = -1
  for (let g = from; g < to; g++) {
    const { cluster: at, codepoint } = infos[g]!
    let text = ''
    if (at !== before) {
      let next = g + 1
      while (next < to && infos[next]!.cluster === at) next++
      text = string.slice(at - start, next < to ? infos[next]!.cluster - start : undefined)
      letters++
      before = at
    }
    if (codepoint === 0) missing++
    pairs.push(face.pair(codepoint, text))
    cluster.push(at - start)
    const { xAdvance, xOffset, yOffset } = positions[g]!
    x.push(pen + xOffset)
    if (yOffset) (y ??= new Array<number>(to - from).fill(0))[g - from] = yOffset
    pen += xAdvance
  }
  return { face, pairs, x, y, cluster, advance: pen, letters, missing }
}

// Letter by letter, and only where a capital takes as much room: places in the text must not move.
const capitals = (text: string): string =>
  text.replace(/\p{Ll}/gu, c => (c.toUpperCase().length === c.length ? c.toUpperCase() : c))

// One buffer and one list of each set of features a HarfBuzz instance: making them costs more than shaping a word.
type Buffer = InstanceType<Face['hb']['Buffer']>
type Feature = InstanceType<Face['hb']['Feature']>
const buffers = new WeakMap<Face['hb'], Buffer>()
const featureLists = new WeakMap<string[], Feature[]>()

function bufferOf(face: Face): Buffer {
  let b = buffers.get(face.hb)
  if (!b) buffers.set(face.hb, (b = new face.hb.Buffer()))
  return b
}

function featuresOf({ hb }: Face, tags: string[]): Feature[] {
  let list = featureLists.get(tags)
  if (!list)
    featureLists.set(
      tags,
      (list = tags.map(tag => (tag.startsWith('-') ? new hb.Feature(tag.slice(1), 0) : new hb.Feature(tag, 1)))),
    )
  return list
}

/** Splits a text into runs by the first face that covers each cluster; what none covers stays with the first face. */
export function runsByCoverage(text: string, faces: Face[]): { face: Face; from: number; to: number }[] {
  const runs: { face: Face; from: number; to: number }[] = []
  let i = 0
  for (const ch of text) {
    const c = ch.codePointAt(0)!
    const last = runs[runs.length - 1]
    // Marks, joiners and selectors stay with what they follow.
    const clings = last && /\p{M}|[\u200c\u200d\ufe00-\ufe0f]/u.test(ch)
    const face = clings ? last.face : (faces.find(f => f.covers(c)) ?? faces[0]!)
    if (last && last.face === face) last.to = i + ch.length
    else runs.push({ face, from: i, to: i + ch.length })
    i += ch.length
  }
  return runs
}
