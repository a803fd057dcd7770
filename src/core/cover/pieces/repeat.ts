import type { RepeatPiece } from '../../book'
import { type Item, type Layer, LayerBuilder, PathBuilder, rgb } from '../../marks'
import { seeded } from '../../trade'
import { setFrag, TextStyle } from '../../type'
import type { Rect } from '../rect'
import { onto, turnAbout, type Matrix } from '../turn'
import type { DrawnPiece, PieceDrawing, PiecePlace } from './kind'
import { outlinesOf } from './letters'
import { drawOrnamentPiece } from './ornament'
import { covering } from './picture'
import { formPath } from './shape'

/** More than this of one thing is a tone, and no pattern. */
const MOST = 6000

/** One thing over and over in its box, from the box’s middle outwards, so that another trim adds at all edges alike; what reaches over is cut. */
export async function drawRepeat(
  piece: RepeatPiece,
  place: PiecePlace,
  drawing: PieceDrawing,
): Promise<DrawnPiece | undefined> {
  const { box } = place
  const cell = piece.cell * drawing.flat.panels.front.width
  const one = await motifOf(piece, { x: -cell / 2, y: -cell / 2, width: cell, height: cell }, { place, drawing })
  if (!one) return undefined
  const items = placesIn(piece, box, cell).map((transform): Item => ({ kind: 'group', transform, layers: [one] }))
  const clip = new PathBuilder().rect(box.x, box.y, box.width, box.height).build()
  const opacity = piece.opacity ?? 1
  return {
    layer: { items: [{ kind: 'group', clip, ...(opacity < 1 ? { opacity } : {}), layers: [{ items }] }] },
  }
}

/** What is repeated, about 0, 0. Undefined where it is not to be had. */
async function motifOf(
  { of, colour, face }: RepeatPiece,
  box: Rect,
  { place, drawing }: { place: PiecePlace; drawing: PieceDrawing },
): Promise<Layer | undefined> {
  switch (of.kind) {
    case 'form':
      return { items: [{ kind: 'path', path: formPath(of.form, box, of), fill: rgb(colour) }] }
    case 'ornament':
      return drawOrnamentPiece({ ornament: of.ornament, colour }, { ...place, box })?.layer
    case 'picture': {
      const asset = drawing.assets.find(a => a.id === of.asset)
      if (!asset) return undefined
      const clip = new PathBuilder().rect(box.x, box.y, box.width, box.height).build()
      return {
        items: [
          {
            kind: 'group',
            clip,
            layers: [{ items: [{ kind: 'image', asset: asset.id, ...covering(box, asset, {}) }] }],
          },
        ],
      }
    }
    case 'letter':
      return letterOf(of.letter, { face: face ?? 'fraunces/bold', colour, box, drawing })
  }
}

/** Letters as outlines, as large as the box lets them be. */
async function letterOf(
  letter: string,
  { face, colour, box, drawing }: { face: string; colour: string; box: Rect; drawing: PieceDrawing },
): Promise<Layer | undefined> {
  const faces = [await drawing.shelf.face(face), await drawing.shelf.face('eb-garamond/regular')]
  const [first] = faces
  const style = new TextStyle({ faces, size: box.height, language: drawing.data.language, colour: rgb(colour) })
  const frag = style.frag(letter)
  if (!(frag.width > 0)) return undefined
  const size = Math.min(1, box.width / frag.width)
  const out = new LayerBuilder()
  setFrag(out, frag, { x: -frag.width / 2, y: (first!.metrics.capHeight * box.height) / 2, place: NOWHERE })
  const { text } = out.build()
  if (!text) return undefined
  const path = outlinesOf(text)
  return {
    items: [
      {
        kind: 'group',
        transform: [size, 0, 0, size, 0, 0],
        layers: [{ items: [{ kind: 'path', path, fill: rgb(colour) }] }],
      },
    ],
  }
}
const NOWHERE = { section: 'cover', block: 'repeat' }

/** Where each stands, and how it is turned. Exported to be tested. */
export function placesIn(piece: RepeatPiece, box: Rect, cell: number): Matrix[] {
  const { pattern, apart, tilt = 0, jitter = 0 } = piece
  const [across, down] = [cell * (1 + (apart?.x ?? 0)), cell * (1 + (apart?.y ?? 0))]
  const chance = seeded(piece.seed ?? 1)
  // One more on each side: what is shifted or turned reaches in from there.
  const columns = Math.ceil(box.width / across / 2) + 1
  const rows = Math.ceil(box.height / down / 2) + 1
  const step = Math.max(1, Math.ceil(Math.sqrt(((2 * columns + 1) * (2 * rows + 1)) / MOST)))
  const out: Matrix[] = []
  for (let r = -rows; r <= rows; r += step)
    for (let c = -columns; c <= columns; c += step) {
      const odd = { row: Math.abs(r) % 2 === 1, column: Math.abs(c) % 2 === 1 }
      const wander = (): number => (chance() - 0.5) * jitter
      const x = box.x + box.width / 2 + (c + (pattern === 'brick' && odd.row ? 0.5 : 0) + wander()) * across
      const y = box.y + box.height / 2 + (r + (pattern === 'half-drop' && odd.column ? 0.5 : 0) + wander()) * down
      const turned = turnAbout(tilt + wander() * 180, { x: 0, y: 0 })
      const flip: Matrix = pattern === 'mirrored' ? [odd.column ? -1 : 1, 0, 0, odd.row ? -1 : 1, 0, 0] : AS_IS
      out.push(onto([1, 0, 0, 1, x, y], onto(flip, turned)))
    }
  return out
}
const AS_IS: Matrix = [1, 0, 0, 1, 0, 0]
