/** So much of 255 that colours differ is seen. */
const SEEN = 20

/** Light beside dark is so much of 255 apart. */
const SHARP = 90

/** A picture that is looked at by points. `scale`: pixels a point; `from`: where its top left lies. */
export class SeenPixels {
  constructor(
    private readonly of: { width: number; height: number; rgba: ArrayLike<number> },
    private readonly scale: number,
    private readonly from: { x: number; y: number },
  ) {}

  private at(x: number, y: number): readonly [number, number, number] {
    const px = Math.max(0, Math.min(this.of.width - 1, Math.floor((x - this.from.x) * this.scale)))
    const py = Math.max(0, Math.min(this.of.height - 1, Math.floor((y - this.from.y) * this.scale)))
    const i = (py * this.of.width + px) * 4
    // What is clear is paper.
    const a = this.of.rgba[i + 3]! / 255
    const over = (v: number): number => v * a + 255 * (1 - a)
    return [over(this.of.rgba[i]!), over(this.of.rgba[i + 1]!), over(this.of.rgba[i + 2]!)]
  }

  /** Nothing is printed there. */
  paper(x: number, y: number): boolean {
    return this.at(x, y).every(v => v > 255 - SEEN / 2)
  }

  /** How much of an upright line, 0 to 1, has one colour beside it, as far on both sides as a strip is wide. */
  plainAcross(x: number, strip: number): number {
    const step = 1 / this.scale
    const rows = this.of.height
    let plain = 0
    for (let row = 0; row < rows; row++) {
      const y = this.from.y + (row + 0.5) * step
      const first = this.at(x - strip / 2, y)
      let same = true
      for (let dx = -strip / 2; same && dx <= strip / 2; dx += step) same = near(this.at(x + dx, y), first)
      if (same) plain++
    }
    return rows ? plain / rows : 1
  }

  /** How much of a box, 0 to 1, has light close beside dark: letters, bars, no waves and no skies. */
  finelyDrawn({ x, y, width, height }: { x: number; y: number; width: number; height: number }): number {
    const step = 1 / this.scale
    let fine = 0
    let all = 0
    for (let dy = step / 2; dy < height; dy += step)
      for (let dx = step / 2; dx + 2 * step < width; dx += step) {
        all++
        if (Math.abs(this.light(x + dx, y + dy) - this.light(x + dx + 2 * step, y + dy)) > SHARP) fine++
      }
    return all ? fine / all : 0
  }

  private light(x: number, y: number): number {
    const [r, g, b] = this.at(x, y)
    return 0.2126 * r + 0.7152 * g + 0.0722 * b
  }
}

const near = (a: readonly number[], b: readonly number[]): boolean => a.every((v, i) => Math.abs(v - b[i]!) <= SEEN)
