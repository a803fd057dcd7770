import { type Colour, type GlyphFace, type Item, type Layer, type MarkPlace, type TextTable } from './marks'

/** What all glyphs of a run have in common. */
export interface RunStart {
  face: GlyphFace
  /** Points. */
  size: number
  baseline: number
  colour: Colour
  place: MarkPlace
  /** Their width, 1 = as drawn. */
  stretch?: number
  /** Letter-spacing, ems. */
  letter?: number
}

/** Builds layers: growable typed arrays for text, a list for the rest. Once a layer is built the builder is empty again, and ready for the next. */
export class LayerBuilder {
  private faces: GlyphFace[] = []
  private colours: Colour[] = []
  private places: MarkPlace[] = []
  private face: Uint8Array
  private colour: Uint8Array
  private size: Float32Array
  private stretch: Float32Array
  private letter: Float32Array
  private baseline: Float32Array
  private start: Uint32Array
  private place: Uint32Array
  private count = 0
  private glyphs: Uint16Array
  private x: Float32Array
  private length = 0
  // What `run` was asked last: words of a line ask for the same thing over and over.
  private asked: Partial<RunStart> & Pick<RunStart, 'size' | 'baseline'> = { size: 0, baseline: 0 }
  private items: Item[] = []
  /** Added to the x of every glyph and picture: cells of a table draw as if their left edge were 0. */
  dx = 0
  /** Where runs are said to come from, in place of what each says. */
  placeAs: MarkPlace | undefined

  constructor(runs = 64, glyphs = 1024) {
    this.face = new Uint8Array(runs)
    this.colour = new Uint8Array(runs)
    this.size = new Float32Array(runs)
    this.stretch = new Float32Array(runs)
    this.letter = new Float32Array(runs)
    this.baseline = new Float32Array(runs)
    this.start = new Uint32Array(runs + 1)
    this.place = new Uint32Array(runs)
    this.glyphs = new Uint16Array(glyphs)
    this.x = new Float32Array(glyphs)
  }

  /** Begins a run; glyphs follow by `glyph`. Continues the last run where nothing differs. */
  run(start: RunStart): void {
    const { face, size, baseline, colour, stretch = 1, letter = 0 } = start
    const place = this.placeAs ?? start.place
    const { asked } = this
    if (
      asked.face === face &&
      asked.baseline === baseline &&
      asked.stretch === stretch &&
      asked.letter === letter &&
      asked.size === size &&
      asked.place === place &&
      asked.colour === colour
    )
      return
    asked.face = face
    asked.size = size
    asked.stretch = stretch
    asked.letter = letter
    asked.baseline = baseline
    asked.colour = colour
    asked.place = place
    const f = indexOf(this.faces, face)
    const c = this.colourIndex(colour)
    const last = this.places.length - 1
    const p = last >= 0 && this.places[last] === place ? last : this.places.push(place) - 1
    const i = this.count - 1
    if (
      i >= 0 &&
      this.face[i] === f &&
      this.colour[i] === c &&
      this.place[i] === p &&
      this.size[i] === Math.fround(size) &&
      this.stretch[i] === Math.fround(stretch) &&
      this.letter[i] === Math.fround(letter) &&
      this.baseline[i] === Math.fround(baseline)
    )
      return
    if (this.count === this.face.length) this.growRuns()
    const n = this.count++
    this.face[n] = f
    this.colour[n] = c
    this.place[n] = p
    this.size[n] = size
    this.stretch[n] = stretch
    this.letter[n] = letter
    this.baseline[n] = baseline
    this.start[n] = this.length
  }

  /** Adds a glyph to the run begun last. */
  glyph(pair: number, x: number): void {
    if (this.length === this.glyphs.length) this.growGlyphs()
    this.glyphs[this.length] = pair
    this.x[this.length++] = x + this.dx
  }

  /** Adds a word's glyphs to the run begun last: `xs` are offsets from `pen`, in units of `unit` points; each glyph is a letter, `apart` units from the next beyond its advance. */
  word(pairs: number[], xs: number[], pen: number, unit: number, apart: number): void {
    const n = pairs.length
    while (this.length + n > this.glyphs.length) this.growGlyphs()
    const { glyphs, x, length } = this
    const from = pen + this.dx
    for (let i = 0; i < n; i++) {
      glyphs[length + i] = pairs[i]!
      x[length + i] = from + (xs[i]! + i * apart) * unit
    }
    this.length = length + n
  }

  add(item: Item): void {
    this.items.push(this.dx && item.kind === 'image' ? { ...item, x: item.x + this.dx } : item)
  }

  build(): Layer {
    const { items } = this
    this.items = []
    if (!this.count) return { items }
    const text = this.table()
    this.faces = []
    this.colours = []
    this.places = []
    this.count = this.length = 0
    this.asked = { size: 0, stretch: 0, letter: 0, baseline: 0 }
    return { items, text }
  }

  private table(): TextTable {
    const n = this.count
    const start = this.start.slice(0, n + 1)
    start[n] = this.length
    return {
      faces: this.faces,
      colours: this.colours,
      count: n,
      face: this.face.slice(0, n),
      colour: this.colour.slice(0, n),
      size: this.size.slice(0, n),
      stretch: this.stretch.slice(0, n),
      letter: this.letter.slice(0, n),
      baseline: this.baseline.slice(0, n),
      start,
      place: this.place.slice(0, n),
      places: this.places,
      glyphs: this.glyphs.slice(0, this.length),
      x: this.x.slice(0, this.length),
    }
  }

  private colourIndex(colour: Colour): number {
    const same = this.colours.findIndex(c =>
      'k' in c && 'k' in colour
        ? c.k === colour.k
        : 'r' in c && 'r' in colour && c.r === colour.r && c.g === colour.g && c.b === colour.b,
    )
    return same >= 0 ? same : this.colours.push(colour) - 1
  }

  private growRuns(): void {
    const n = this.face.length * 2
    this.face = grown(this.face, new Uint8Array(n))
    this.colour = grown(this.colour, new Uint8Array(n))
    this.size = grown(this.size, new Float32Array(n))
    this.stretch = grown(this.stretch, new Float32Array(n))
    this.letter = grown(this.letter, new Float32Array(n))
    this.baseline = grown(this.baseline, new Float32Array(n))
    this.start = grown(this.start, new Uint32Array(n + 1))
    this.place = grown(this.place, new Uint32Array(n))
  }

  private growGlyphs(): void {
    const n = this.glyphs.length * 2
    this.glyphs = grown(this.glyphs, new Uint16Array(n))
    this.x = grown(this.x, new Float32Array(n))
  }
}

function grown<T extends Uint8Array | Uint16Array | Uint32Array | Float32Array>(from: T, to: T): T {
  to.set(from)
  return to
}

function indexOf<T>(list: T[], x: T): number {
  const i = list.indexOf(x)
  return i >= 0 ? i : list.push(x) - 1
}
