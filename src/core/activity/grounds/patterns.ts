import { type Path, PathBuilder } from '../../marks'

/**
 * A pattern: what is drawn again and again. `s` is its repeat across, points; its own outline lies around the origin. Rows stand `down`
 * apart, every second one moved by `shift`. `line`: its outline is drawn with a line so thick, not filled.
 */
export interface Tile {
  path: Path
  across: number
  down: number
  shift: number
  line?: number
}

interface Pattern {
  id: string
  name: string
  tile(s: number): Tile
}

const path = (): PathBuilder => new PathBuilder()

/** A closed outline through points around the origin. */
function around(points: readonly (readonly [number, number])[], s: number): Path {
  const b = path()
  points.forEach(([x, y], i) => (i ? b.line(x * s, y * s) : b.move(x * s, y * s)))
  return b.close().build()
}

const circle = (r: number): Path => path().circle(0, 0, r).build()

/** Patterns that ship: ours, drawn for this set, each fit for every size. */
export const patterns: readonly Pattern[] = [
  {
    id: 'dots',
    name: 'dots',
    tile: s => ({ path: circle(s * 0.12), across: s, down: s / 2, shift: s / 2 }),
  },
  {
    id: 'checks',
    name: 'checks',
    tile: s => ({
      path: path()
        .rect(-s / 4, -s / 4, s / 2, s / 2)
        .build(),
      across: s,
      down: s / 2,
      shift: s / 2,
    }),
  },
  {
    id: 'stripes',
    name: 'stripes',
    tile: s => ({
      path: path()
        .rect(-s * 0.5, -s * 0.14, s, s * 0.28)
        .build(),
      across: s,
      down: s,
      shift: 0,
    }),
  },
  {
    id: 'slants',
    name: 'slanting stripes',
    tile: s => ({
      path: path()
        .move(-s / 2, s / 2)
        .line(s / 2, -s / 2)
        .build(),
      across: s,
      down: s,
      shift: 0,
      line: s * 0.14,
    }),
  },
  {
    id: 'waves',
    name: 'waves',
    tile: s => ({
      path: path()
        .move(-s / 2, 0)
        .cubic(-s * 0.3, -s * 0.28, -s * 0.2, -s * 0.28, 0, 0)
        .cubic(s * 0.2, s * 0.28, s * 0.3, s * 0.28, s / 2, 0)
        .build(),
      across: s,
      down: s * 0.5,
      shift: 0,
      line: s * 0.06,
    }),
  },
  {
    id: 'scallops',
    name: 'scallops',
    tile: s => ({
      path: path()
        .move(-s / 2, 0)
        .cubic(-s / 2, s * 0.62, s / 2, s * 0.62, s / 2, 0)
        .build(),
      across: s,
      down: s / 2,
      shift: s / 2,
      line: s * 0.06,
    }),
  },
  {
    id: 'honeycomb',
    name: 'honeycomb',
    tile: s => {
      const r = s / Math.sqrt(3)
      const corners = [0, 1, 2, 3, 4, 5].map(i => {
        const a = (i * Math.PI) / 3 + Math.PI / 6
        return [Math.cos(a) * r * 0.9, Math.sin(a) * r * 0.9] as const
      })
      return { path: around(corners, 1), across: s, down: 1.5 * r, shift: s / 2, line: s * 0.06 }
    },
  },
  {
    id: 'diamonds',
    name: 'diamonds',
    tile: s => ({
      path: around(
        [
          [0, -0.42],
          [0.26, 0],
          [0, 0.42],
          [-0.26, 0],
        ],
        s,
      ),
      across: s,
      down: s * 0.7,
      shift: s / 2,
    }),
  },
  {
    id: 'crosses',
    name: 'crosses',
    tile: s => ({
      path: path()
        .rect(-s * 0.2, -s * 0.035, s * 0.4, s * 0.07)
        .rect(-s * 0.035, -s * 0.2, s * 0.07, s * 0.165)
        .rect(-s * 0.035, s * 0.035, s * 0.07, s * 0.165)
        .build(),
      across: s,
      down: s / 2,
      shift: s / 2,
    }),
  },
  {
    id: 'petals',
    name: 'petals',
    tile: s => {
      const b = path()
      for (const [dx, dy] of [
        [1, 0],
        [-1, 0],
        [0, 1],
        [0, -1],
      ] as const) {
        const [px, py] = [dx * s * 0.48, dy * s * 0.48]
        const [nx, ny] = [dy * s * 0.2, dx * s * 0.2]
        b.move(dx * s * 0.05, dy * s * 0.05)
          .quad(px / 2 + nx, py / 2 + ny, px, py)
          .quad(px / 2 - nx, py / 2 - ny, dx * s * 0.05, dy * s * 0.05)
          .close()
      }
      return { path: b.build(), across: s, down: s, shift: 0 }
    },
  },
  {
    id: 'sprigs',
    name: 'sprigs',
    tile: s => {
      const b = path().rect(-s * 0.012, -s * 0.1, s * 0.024, s * 0.4)
      for (const [side, y] of [
        [1, 0.12],
        [-1, 0.02],
        [1, -0.08],
        [-1, -0.16],
      ] as const)
        b.move(0, y * s)
          .quad(side * s * 0.08, (y - 0.16) * s, side * s * 0.26, (y - 0.14) * s)
          .quad(side * s * 0.2, (y + 0.02) * s, 0, y * s)
          .close()
      return { path: b.build(), across: s, down: s * 0.62, shift: s / 2 }
    },
  },
  {
    id: 'stars',
    name: 'stars',
    tile: s => {
      const points = Array.from({ length: 10 }, (_, i) => {
        const [a, r] = [(i * Math.PI) / 5, i % 2 ? 0.1 : 0.24]
        return [Math.sin(a) * r, -Math.cos(a) * r] as const
      })
      return { path: around(points, s), across: s, down: s * 0.6, shift: s / 2 }
    },
  },
]

const byId = new Map(patterns.map(p => [p.id, p]))
export const patternOf = (id: string): Pattern | undefined => byId.get(id)
