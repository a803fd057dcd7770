/** Outlines as typed arrays: cheap to keep, to transfer and to draw. */
export interface Path {
  /** 0 move, 1 line, 2 quadratic, 3 cubic, 4 close. */
  ops: Uint8Array
  /** Coordinates in order: 2, 2, 4, 6, 0 for each op. */
  xy: Float32Array
}

export const Op = { move: 0, line: 1, quad: 2, cubic: 3, close: 4 } as const

/** Collects an outline. All methods return the builder. */
export class PathBuilder {
  private ops: number[] = []
  private xy: number[] = []
  move(x: number, y: number): this {
    this.ops.push(Op.move)
    this.xy.push(x, y)
    return this
  }
  line(x: number, y: number): this {
    this.ops.push(Op.line)
    this.xy.push(x, y)
    return this
  }
  quad(x1: number, y1: number, x: number, y: number): this {
    this.ops.push(Op.quad)
    this.xy.push(x1, y1, x, y)
    return this
  }
  // Six coordinates, as every path has them.
  // eslint-disable-next-line max-params
  cubic(x1: number, y1: number, x2: number, y2: number, x: number, y: number): this {
    this.ops.push(Op.cubic)
    this.xy.push(x1, y1, x2, y2, x, y)
    return this
  }
  close(): this {
    this.ops.push(Op.close)
    return this
  }
  rect(x: number, y: number, w: number, h: number): this {
    return this.move(x, y)
      .line(x + w, y)
      .line(x + w, y + h)
      .line(x, y + h)
      .close()
  }
  /** A circle in four cubic arcs. */
  circle(cx: number, cy: number, r: number): this {
    const k = r * 0.5522847498
    return this.move(cx + r, cy)
      .cubic(cx + r, cy + k, cx + k, cy + r, cx, cy + r)
      .cubic(cx - k, cy + r, cx - r, cy + k, cx - r, cy)
      .cubic(cx - r, cy - k, cx - k, cy - r, cx, cy - r)
      .cubic(cx + k, cy - r, cx + r, cy - k, cx + r, cy)
      .close()
  }
  /** All of another outline, moved. */
  append(path: Path, dx: number, dy: number): this {
    for (const op of path.ops) this.ops.push(op)
    for (let i = 0; i < path.xy.length; i += 2) this.xy.push(path.xy[i]! + dx, path.xy[i + 1]! + dy)
    return this
  }
  build(): Path {
    return { ops: Uint8Array.from(this.ops), xy: Float32Array.from(this.xy) }
  }
}

const tokens = /([MmLlHhVvCcQqZz])|(-?\d*\.?\d+(?:e-?\d+)?)/g

/** Reads SVG path data (M L H V C Q Z, absolute and relative). */
export function pathFromSvg(d: string): Path {
  const b = new PathBuilder()
  let cmd = ''
  let x = 0,
    y = 0,
    sx = 0,
    sy = 0
  const args: number[] = []
  const need: Record<string, number> = { m: 2, l: 2, h: 1, v: 1, c: 6, q: 4, z: 0 }
  const run = () => {
    const k = cmd.toLowerCase()
    const n = need[k]!
    if (k !== 'z' && args.length < n) return false
    const a = args.splice(0, n)
    const rel = cmd === k
    const ox = rel ? x : 0
    const oy = rel ? y : 0
    if (k === 'm') {
      x = sx = ox + a[0]!
      y = sy = oy + a[1]!
      b.move(x, y)
      cmd = rel ? 'l' : 'L'
    } else if (k === 'l') b.line((x = ox + a[0]!), (y = oy + a[1]!))
    else if (k === 'h') b.line((x = ox + a[0]!), y)
    else if (k === 'v') b.line(x, (y = oy + a[0]!))
    else if (k === 'q') {
      b.quad(ox + a[0]!, oy + a[1]!, ox + a[2]!, oy + a[3]!)
      x = ox + a[2]!
      y = oy + a[3]!
    } else if (k === 'c') {
      b.cubic(ox + a[0]!, oy + a[1]!, ox + a[2]!, oy + a[3]!, ox + a[4]!, oy + a[5]!)
      x = ox + a[4]!
      y = oy + a[5]!
    } else {
      b.close()
      x = sx
      y = sy
    }
    return true
  }
  for (const m of d.matchAll(tokens)) {
    if (m[1]) {
      cmd = m[1]
      if (cmd.toLowerCase() === 'z') run()
    } else {
      args.push(Number(m[2]))
      if (args.length === need[cmd.toLowerCase()]) run()
    }
  }
  return b.build()
}

/** Least box around a path's points (control points included): [x0, y0, x1, y1]. */
export function pathBox(p: Path): [number, number, number, number] {
  let x0 = Infinity,
    y0 = Infinity,
    x1 = -Infinity,
    y1 = -Infinity
  for (let i = 0; i < p.xy.length; i += 2) {
    x0 = Math.min(x0, p.xy[i]!)
    x1 = Math.max(x1, p.xy[i]!)
    y0 = Math.min(y0, p.xy[i + 1]!)
    y1 = Math.max(y1, p.xy[i + 1]!)
  }
  return [x0, y0, x1, y1]
}

/** Scales, then moves. */
export function transformPath(p: Path, scaleX: number, scaleY: number, dx: number, dy: number): Path {
  const xy = new Float32Array(p.xy.length)
  for (let i = 0; i < xy.length; i += 2) {
    xy[i] = p.xy[i]! * scaleX + dx
    xy[i + 1] = p.xy[i + 1]! * scaleY + dy
  }
  return { ops: p.ops, xy }
}
