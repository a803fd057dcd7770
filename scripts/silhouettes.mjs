// Makes src/core/silhouettes/silhouettes.json: outlines of icons whose licence allows it (@phosphor-icons/core, MIT), traced from
// the filled drawings. Run by hand when the choice changes: node scripts/silhouettes.mjs
import { readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { createCanvas, Path2D } from '@napi-rs/canvas'
import { contours, polygonArea } from 'd3'
import { root } from './lib/bundle.mjs'

const chosen =
  'acorn airplane-tilt anchor balloon beanie bell bird boat bone boot bread bug-beetle butterfly cactus cake camera campfire car carrot castle-turret cat cherries church cloud clover club coffee cookie cow cowboy-hat crown diamond dog dress drop egg envelope eye feather fire fish flag-banner flower flower-lotus flower-tulip ghost gift guitar hamburger hammer hand handbag heart horse hourglass house ice-cream island jar key knife leaf lightbulb lighthouse lightning lock magnet moon mountains music-note orange paint-brush parachute paw-print pepper piggy-bank pizza plant puzzle-piece rabbit rocket sailboat scissors shield shrimp skull snowflake sock spade star sun tent tooth tree tree-evergreen trophy truck umbrella wine yarn'.split(
    ' ',
  )
/** Pixels of a drawing's side, and of an outline's tolerance. */
const SIDE = 512
const TOLERANCE = 0.9
/** Outlines are kept in whole numbers, their longer side this long; smaller pieces than so much of it are dirt. */
const UNIT = 1000
const DIRT = 0.0004

/** The points of a line that lie further from it than a tolerance (Douglas and Peucker). */
function simplified(points, tolerance) {
  if (points.length < 3) return points
  const [[x1, y1], [x2, y2]] = [points[0], points.at(-1)]
  const length = Math.hypot(x2 - x1, y2 - y1) || 1
  let [far, at] = [0, 0]
  for (let i = 1; i < points.length - 1; i++) {
    const [x, y] = points[i]
    const d =
      length === 1 && x1 === x2 && y1 === y2
        ? Math.hypot(x - x1, y - y1)
        : Math.abs((x2 - x1) * (y1 - y) - (x1 - x) * (y2 - y1)) / length
    if (d > far) [far, at] = [d, i]
  }
  if (far <= tolerance) return [points[0], points.at(-1)]
  return [...simplified(points.slice(0, at + 1), tolerance).slice(0, -1), ...simplified(points.slice(at), tolerance)]
}

const out = []
for (const name of chosen) {
  const svg = readFileSync(join(root, `node_modules/@phosphor-icons/core/assets/fill/${name}-fill.svg`), 'utf8')
  const canvas = createCanvas(SIDE, SIDE)
  const g = canvas.getContext('2d')
  g.scale(SIDE / 256, SIDE / 256)
  for (const [, d] of svg.matchAll(/<path[^>]* d="([^"]+)"/g)) g.fill(new Path2D(d), 'nonzero')
  const { data } = g.getImageData(0, 0, SIDE, SIDE)
  const alpha = Array.from({ length: SIDE * SIDE }, (_, i) => data[4 * i + 3])
  const [traced] = contours().size([SIDE, SIDE]).thresholds([128])(alpha)
  const rings = traced.coordinates
    .flat()
    .filter(ring => Math.abs(polygonArea(ring)) > DIRT * SIDE * SIDE)
    .map(ring => {
      // A ring's end is its beginning: halves are simplified, so that both stay.
      const half = ring.length >> 1
      return [
        ...simplified(ring.slice(0, half + 1), TOLERANCE).slice(0, -1),
        ...simplified(ring.slice(half), TOLERANCE),
      ].slice(0, -1)
    })
  const xs = rings.flat().map(p => p[0])
  const ys = rings.flat().map(p => p[1])
  const [x0, y0] = [Math.min(...xs), Math.min(...ys)]
  const scale = UNIT / Math.max(Math.max(...xs) - x0, Math.max(...ys) - y0)
  const whole = rings
    .map(ring => ring.map(([x, y]) => [Math.round((x - x0) * scale), Math.round((y - y0) * scale)]))
    .sort((a, b) => Math.abs(polygonArea(b)) - Math.abs(polygonArea(a)))
  out.push({ id: name, name: name.replace(/-/g, ' '), rings: whole.map(r => r.flat()) })
}
writeFileSync(
  join(root, 'src/core/silhouettes/silhouettes.json'),
  `{\n  "licence": "MIT: outlines traced from @phosphor-icons/core, Copyright (c) 2023 Phosphor Icons",\n  "silhouettes": [\n${out
    .map(s => `    ${JSON.stringify(s)}`)
    .join(',\n')}\n  ]\n}\n`,
)
writeFileSync(
  join(root, 'src/core/silhouettes/names.json'),
  `${JSON.stringify(
    out.map(s => s.id),
    null,
    2,
  )}\n`,
)
console.log(
  out.length,
  'silhouettes,',
  out.reduce((n, s) => n + s.rings.reduce((m, r) => m + r.length / 2, 0), 0),
  'points',
)
