/** Where a line may begin: the piece and its character, and what stands before it from the paragraph's beginning. */
export interface Spot {
  frag: number
  char: number
  /** Width, the gaps' part of it, and ems of letters. */
  w: number
  g: number
  e: number
  /** What hangs out at the line's left, points. */
  hang: number
}

/** The best ends of a line at one point, one for each line number and fitness: parallel arrays, reused. */
export class Ends {
  count = 0
  readonly line: number[] = []
  readonly fit: number[] = []
  readonly demerits: number[] = []
  readonly from: number[] = []
  readonly ladder: number[] = []

  /** Keeps an end where it is the first of its line and fitness, or better than the one before. */
  offer(line: number, fit: number, demerits: number, from: number, ladder: number): void {
    let c = 0
    while (c < this.count && (this.line[c] !== line || this.fit[c] !== fit)) c++
    if (c < this.count && demerits >= this.demerits[c]!) return
    if (c === this.count) this.count++
    this.line[c] = line
    this.fit[c] = fit
    this.demerits[c] = demerits
    this.from[c] = from
    this.ladder[c] = ladder
  }
}

/** The starts of lines that a search has found, told by number: columns of typed arrays that grow and are used again. */
export class Starts {
  count = 0
  frag = new Int32Array(256)
  char = new Int32Array(256)
  line = new Int32Array(256)
  fit = new Int8Array(256)
  prev = new Int32Array(256)
  /** Lines running, up to here, that end in a hyphen. */
  ladder = new Int8Array(256)
  /** No line that begins here ends before this width. */
  reach = new Float64Array(256)
  e = new Float64Array(256)
  w = new Float64Array(256)
  g = new Float64Array(256)
  hang = new Float64Array(256)
  demerits = new Float64Array(256)

  /** A start at this spot, after the end `c`; gives its number. */
  add(at: Spot, ends: Ends, c: number): number {
    const n = this.begin(at, ends.from[c]!)
    this.line[n] = ends.line[c]!
    this.fit[n] = ends.fit[c]!
    this.ladder[n] = ends.ladder[c]!
    this.demerits[n] = ends.demerits[c]!
    return n
  }

  /** A start without a line before it, of middling fitness. */
  begin(at: Spot, prev = -1): number {
    if (this.count === this.frag.length) this.grow()
    const n = this.count++
    this.frag[n] = at.frag
    this.char[n] = at.char
    this.w[n] = at.w
    this.g[n] = at.g
    this.e[n] = at.e
    this.hang[n] = at.hang
    this.prev[n] = prev
    this.line[n] = 0
    this.fit[n] = 1
    this.ladder[n] = 0
    this.demerits[n] = 0
    return n
  }

  private grow(): void {
    const size = this.frag.length * 2
    const up = <T extends Int32Array | Int8Array | Float64Array>(a: T): T => {
      const b = new (a.constructor as new (n: number) => T)(size)
      b.set(a as never)
      return b
    }
    this.frag = up(this.frag)
    this.char = up(this.char)
    this.line = up(this.line)
    this.fit = up(this.fit)
    this.prev = up(this.prev)
    this.ladder = up(this.ladder)
    this.reach = up(this.reach)
    this.e = up(this.e)
    this.w = up(this.w)
    this.g = up(this.g)
    this.hang = up(this.hang)
    this.demerits = up(this.demerits)
  }
}
