import type { Flat } from './geometry'
import { zoneOf } from './geometry'
import type { Rect } from './rect'

/** A side of a solid, as one looks at the book from its front. */
export type Side = 'front' | 'back' | 'left' | 'right' | 'top' | 'bottom'

/** A solid of the folded book: its middle and its size, points; the book's own middle is 0, 0, 0, y up and z towards the eye. */
export interface Solid {
  name: 'cover' | 'front board' | 'back board' | 'spine board' | 'front hinge' | 'back hinge' | 'pages'
  at: [x: number, y: number, z: number]
  size: [width: number, height: number, depth: number]
  /** Which part of the flat each side shows; the others are paper, or the colour of the cover’s edge. */
  faces: Partial<Record<Side, Rect>>
}

/** A ring of a coil: it stands across the spine’s side. */
export interface Ring {
  at: [x: number, y: number, z: number]
  radius: number
}

/** A book as it lies on a table. */
export interface Folded {
  width: number
  height: number
  depth: number
  solids: Solid[]
  rings: Ring[]
}

/** A sheet of cover board, points. */
const SHEET = 0.9
/** Rings stand so far apart, points: four to the inch. */
const PITCH = 18
/** How much further a ring reaches than the pages it holds. */
const RING_ROOM = 5

/** The flat folded around its pages: true thickness, boards with their hinge, a coil with its rings. */
export function folded(flat: Flat): Folded {
  if (flat.binding === 'case') return cased(flat)
  const { front, back, spine } = flat.panels
  const { width, height } = front
  const depth = Math.max(flat.leaf.thickness, spine.width)
  const sheet: Solid = {
    name: 'cover',
    at: [0, 0, 0],
    size: [width, height, depth + 2 * SHEET],
    faces: { front, back },
  }
  if (spine.width > 0)
    return {
      width,
      height,
      depth: sheet.size[2],
      rings: [],
      solids: [{ ...sheet, faces: { front, back, left: spine } }],
    }
  // Without a spine the cover is two sheets around the pages.
  const cover = (name: 'front board' | 'back board', z: number): Solid => ({
    name,
    at: [0, 0, z],
    size: [width, height, SHEET],
    faces: name === 'front board' ? { front } : { back },
  })
  const solids = [
    cover('front board', depth / 2 + SHEET / 2),
    { name: 'pages', at: [0, 0, 0], size: [width - 1, height - 1, depth], faces: {} } satisfies Solid,
    cover('back board', -depth / 2 - SHEET / 2),
  ]
  return { width, height, depth: depth + 2 * SHEET, solids, rings: flat.binding === 'coil' ? ringsOf(flat, depth) : [] }
}

function ringsOf(flat: Flat, depth: number): Ring[] {
  const { width, height } = flat.panels.front
  const strip = zoneOf(flat, 'holes', 'front')?.width ?? PITCH
  const radius = depth / 2 + RING_ROOM
  const count = Math.floor((height - PITCH) / PITCH)
  return Array.from({ length: count }, (_, i) => ({
    // Holes are in the middle of what stays bare, as near to the edge as a ring goes.
    at: [-width / 2 + Math.min(strip / 2, radius * 0.5) - radius * 0.5, (i - (count - 1) / 2) * PITCH, 0],
    radius,
  }))
}

/** What is turned in around a board is what is printed next to it: so much of it is seen on its sides, points. */
const TURNED = 2
const UNDER = 1.5
const turnedIn = ({ x, y, width, height }: Rect): Partial<Record<Side, Rect>> => ({
  left: { x, y, width: TURNED, height },
  right: { x: x + width - TURNED, y, width: TURNED, height },
  top: { x, y: y - TURNED, width, height: TURNED },
  bottom: { x, y: y + height, width, height: TURNED },
})

function cased(flat: Flat): Folded {
  const { front, back, spine } = flat.panels
  const { width, height } = front
  const { leaf } = flat
  const board = Math.max(SHEET, (spine.width - leaf.thickness) / 2)
  const depth = leaf.thickness + 2 * board
  const hinge = zoneOf(flat, 'hinge', 'front')?.width ?? 0
  const left = -width / 2
  const face = (name: 'front board' | 'front hinge', rect: Rect, z: number, thick: number): Solid => ({
    name,
    at: [left + (rect.x - front.x) + rect.width / 2, 0, z],
    size: [rect.width, height, thick],
    faces: { front: rect, ...turnedIn(rect) },
  })
  const behind = (s: Solid, name: 'back board' | 'back hinge', rect: Rect): Solid => ({
    ...s,
    name,
    at: [s.at[0], 0, -s.at[2]],
    faces: { back: rect, ...turnedIn(rect) },
  })
  const z = leaf.thickness / 2 + board / 2
  const frontBoard = face('front board', { ...front, x: front.x + hinge, width: width - hinge }, z, board)
  // The cloth is pressed down between the board and the spine.
  const pressed = face('front hinge', { ...front, width: hinge }, leaf.thickness / 2 + board * 0.3, board * 0.3)
  // It goes on under the board: nothing is seen between them.
  const frontHinge: Solid = {
    ...pressed,
    at: [pressed.at[0] + UNDER / 2, 0, pressed.at[2]],
    size: [hinge + UNDER, height, pressed.size[2]],
  }
  const spineFaces = {
    ...turnedIn(spine),
    left: spine,
    front: { ...front, width: board },
    back: { ...back, x: back.x + width - board, width: board },
  }
  return {
    width,
    height,
    depth,
    rings: [],
    solids: [
      frontBoard,
      frontHinge,
      behind(frontBoard, 'back board', { ...back, width: width - hinge }),
      behind(frontHinge, 'back hinge', { ...back, x: back.x + width - hinge, width: hinge }),
      { name: 'spine board', at: [left + board / 2, 0, 0], size: [board, height, depth], faces: spineFaces },
      {
        name: 'pages',
        at: [left + board + leaf.width / 2, 0, 0],
        size: [leaf.width - board, leaf.height, leaf.thickness],
        faces: {},
      },
    ],
  }
}
