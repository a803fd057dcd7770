'use client'
import type Konva from 'konva'
import { useEffect, useRef } from 'react'
import { Group, Image, Label, Layer, Line, Rect as Box, Stage, Tag, Text, Transformer } from 'react-konva'
import type { CoverPiece } from '@/core/book'
import { boxInArea, boxOnFlat, type CoverDesign, type Flat, type Rect } from '@/core/cover'
import type { Patch } from './coverChanges'
import { useLifted } from './useLifted'
import { useSnapping } from './useSnapping'

/** Something that is wrong somewhere on the flat, by the number that it is listed under. */
export interface Marked {
  n: number
  area: Rect
  stops: boolean
}

/** The flat to scale: the press's own picture of it, zones over it, and the pieces to be taken hold of. `scale` is pixels a point. */
export function FlatStage({
  flat,
  design,
  picture,
  scale,
  zones,
  marks,
  held,
  readOnly,
  onChoose,
  onPlace,
  onMove,
}: {
  flat: Flat
  design: CoverDesign
  picture: ImageBitmap | undefined
  scale: number
  zones: boolean
  marks: readonly Marked[]
  held: readonly string[]
  readOnly: boolean
  onChoose: (id: string | undefined, more?: boolean) => void
  onPlace: (piece: CoverPiece, patch: Patch) => void
  /** All that is held, by so many points. */
  onMove: (by: { x: number; y: number }) => void
}) {
  const transformer = useRef<Konva.Transformer>(null)
  const shapes = useRef(new Map<string, Konva.Rect>())
  const { bleed } = flat
  const width = (flat.width + bleed.left + bleed.right) * scale
  const height = (flat.height + bleed.top + bleed.bottom) * scale
  const px = (r: Rect) => ({
    x: (r.x + bleed.left) * scale,
    y: (r.y + bleed.top) * scale,
    width: r.width * scale,
    height: r.height * scale,
  })
  useEffect(() => {
    const free = design.pieces.filter(p => held.includes(p.id) && !p.locked)
    const nodes = readOnly ? [] : free.flatMap(p => shapes.current.get(p.id) ?? [])
    transformer.current?.nodes(nodes)
    // Several are moved together; each is sized by itself.
    transformer.current?.resizeEnabled(nodes.length === 1)
    transformer.current?.rotateEnabled(nodes.length === 1)
  }, [held, design, scale, readOnly])
  const lift = useLifted(shapes, { flat, picture, width, px })
  const guides = useRef<Konva.Group>(null)
  const snapping = useSnapping({ flat, design, scale, held }, guides)
  const rectOf = (node: Konva.Node): Rect => ({
    x: (node.x() - node.offsetX()) / scale - bleed.left,
    y: (node.y() - node.offsetY()) / scale - bleed.top,
    width: node.width() / scale,
    height: node.height() / scale,
  })
  /** What is dragged, upright, comes to a line near it; Alt lets it pass. */
  const dragged = (piece: CoverPiece, node: Konva.Node, free: boolean): void => {
    const rect = rectOf(node)
    const at = piece.turn ? rect : snapping.land(rect, free)
    node.position({
      x: (at.x + bleed.left) * scale + node.offsetX(),
      y: (at.y + bleed.top) * scale + node.offsetY(),
    })
    snapping.hold(at, free || !!piece.turn)
    // The others that are held go along.
    const from = px(boxOnFlat(flat, piece)!)
    const by = { x: node.x() - node.offsetX() - from.x, y: node.y() - node.offsetY() - from.y }
    for (const p of design.pieces) {
      const other = p.id !== piece.id && held.includes(p.id) && !p.locked ? shapes.current.get(p.id) : undefined
      const home = other && boxOnFlat(flat, p)
      if (home) other.position({ x: px(home).x + other.offsetX() + by.x, y: px(home).y + other.offsetY() + by.y })
    }
  }
  const dropped = (piece: CoverPiece, node: Konva.Node): void => {
    snapping.clear()
    if (!held.includes(piece.id) || held.length < 2) return placed(piece, node)
    const [from, to] = [boxOnFlat(flat, piece)!, rectOf(node)]
    onMove({ x: to.x - from.x, y: to.y - from.y })
  }
  // A node turns about its middle, which is its place.
  const placed = (piece: CoverPiece, node: Konva.Node): void => {
    const [width, height] = [(node.width() * node.scaleX()) / scale, (node.height() * node.scaleY()) / scale]
    const rect = {
      x: node.x() / scale - bleed.left - width / 2,
      y: node.y() / scale - bleed.top - height / 2,
      width,
      height,
    }
    node.scale({ x: 1, y: 1 })
    const box = boxInArea(flat, piece, rect)
    const turn = Math.round(node.rotation() * 10) / 10
    if (box) onPlace(piece, { box, turn: turn || undefined })
  }
  return (
    <Stage width={width} height={height} onMouseDown={e => e.target === e.target.getStage() && onChoose(undefined)}>
      <Layer listening={false}>{picture && <Image image={picture} width={width} height={height} alt="" />}</Layer>
      {zones && <Zones flat={flat} px={px} height={height} />}
      {marks.length > 0 && <Marks marks={marks} px={px} />}
      <Layer>
        {design.pieces.map(p => {
          const rect = boxOnFlat(flat, p)
          if (!rect) return null
          return (
            <Box
              key={p.id}
              ref={n => {
                if (n) shapes.current.set(p.id, n)
                else shapes.current.delete(p.id)
              }}
              {...centred(px(rect))}
              rotation={p.turn ?? 0}
              stroke={held.includes(p.id) ? '#fffefb' : 'transparent'}
              strokeWidth={1}
              draggable={!readOnly && !p.locked}
              onMouseEnter={e => pointed(e.target, 'move')}
              onMouseLeave={e => pointed(e.target, '')}
              onMouseDown={e => {
                // What is held already stays so: it may be about to be moved with the others.
                if (e.evt.shiftKey || !held.includes(p.id)) onChoose(p.id, e.evt.shiftKey)
              }}
              onTap={() => onChoose(p.id)}
              onDragStart={e => lift(p, e.target)}
              onDragMove={e => dragged(p, e.target, e.evt.altKey)}
              onDragEnd={e => dropped(p, e.target)}
              onTransformEnd={e => placed(p, e.target)}
            />
          )
        })}
        <Group ref={guides} listening={false} />
        <Transformer
          ref={transformer}
          rotationSnaps={[0, 45, 90, 135, 180, 225, 270, 315]}
          rotationSnapTolerance={3}
          keepRatio={false}
          borderStroke="#fffefb"
          anchorStroke="#15343d"
          anchorFill="#fffefb"
          anchorSize={8}
          anchorCornerRadius={4}
          flipEnabled={false}
        />
      </Layer>
    </Stage>
  )
}

const pointed = (node: Konva.Node, cursor: string): void => {
  const stage = node.getStage()
  if (stage) stage.container().style.cursor = cursor
}

/** A box as a node that is placed by its middle. */
const centred = ({ x, y, width, height }: Rect) => ({
  x: x + width / 2,
  y: y + height / 2,
  width,
  height,
  offsetX: width / 2,
  offsetY: height / 2,
})

/** What is wrong with what was made elsewhere, each with its number. */
function Marks({ marks, px }: { marks: readonly Marked[]; px: (r: Rect) => Rect }) {
  return (
    <Layer listening={false}>
      {marks.map(({ n, area, stops }) => {
        const r = px(area)
        const colour = stops ? WRONG : DOUBTFUL
        return (
          <Group key={n}>
            <Box {...r} stroke="#fffefb" strokeWidth={3} />
            <Box {...r} stroke={colour} strokeWidth={1.5} />
            <Label x={Math.max(0, r.x)} y={Math.max(0, r.y)}>
              <Tag fill={colour} />
              <Text text={String(n)} fill="#fffefb" fontSize={11} fontFamily="Figtree, sans-serif" padding={2} />
            </Label>
          </Group>
        )
      })}
    </Layer>
  )
}
/** The look's own for what stops, and for what is worth a look. */
const WRONG = '#a8412a'
const DOUBTFUL = '#47616a'

/** What means something to whoever designs: the trim, what is safe, folds and how far they drift, hinges, holes, the barcode's place. */
function Zones({ flat, px, height }: { flat: Flat; px: (r: Rect) => Rect; height: number }) {
  return (
    <Layer listening={false}>
      {flat.sheets.map(s => (
        <Box key={s.name} {...px(s.rect)} stroke="#fffefb" strokeWidth={1} dash={[2, 3]} />
      ))}
      {flat.zones.map((z, i) => {
        const r = px(z.rect)
        if (z.kind === 'fold')
          return <Line key={i} points={[r.x, 0, r.x, height]} stroke="#fffefb" strokeWidth={1} dash={[7, 4]} />
        if (z.kind === 'drift') return <Box key={i} {...r} fill="rgba(255,254,251,0.13)" />
        if (z.kind === 'holes' || z.kind === 'hinge') return <Box key={i} {...r} fill="rgba(255,254,251,0.22)" />
        const barcode = z.kind === 'barcode'
        return (
          <Box
            key={i}
            {...r}
            stroke={barcode ? '#fffefb' : '#e9cf9a'}
            strokeWidth={1}
            {...(barcode ? {} : { dash: [4, 4] })}
          />
        )
      })}
    </Layer>
  )
}
