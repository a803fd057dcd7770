'use client'
import type Konva from 'konva'
import { useEffect, useRef } from 'react'
import { Image, Layer, Line, Rect as Box, Stage, Transformer } from 'react-konva'
import type { CoverPiece } from '@/core/book'
import { boxInArea, boxOnFlat, type CoverDesign, type Flat, type Rect } from '@/core/cover'
import type { Patch } from './coverChanges'

/** The flat to scale: the press's own picture of it, zones over it, and the pieces to be taken hold of. `scale` is pixels a point. */
export function FlatStage({
  flat,
  design,
  picture,
  scale,
  zones,
  chosen,
  readOnly,
  onChoose,
  onPlace,
}: {
  flat: Flat
  design: CoverDesign
  picture: ImageBitmap | undefined
  scale: number
  zones: boolean
  chosen: string | undefined
  readOnly: boolean
  onChoose: (id: string | undefined) => void
  onPlace: (piece: CoverPiece, patch: Patch) => void
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
    const shape = chosen ? shapes.current.get(chosen) : undefined
    const held = design.pieces.find(p => p.id === chosen)?.locked
    transformer.current?.nodes(shape && !readOnly && !held ? [shape] : [])
  }, [chosen, design, scale, readOnly])
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
      {zones && (
        <Layer listening={false}>
          <Box
            {...px({ x: 0, y: 0, width: flat.width, height: flat.height })}
            stroke="#fffefb"
            strokeWidth={1}
            dash={[2, 3]}
          />
          {flat.zones.map((z, i) => {
            const r = px(z.rect)
            if (z.kind === 'fold')
              return <Line key={i} points={[r.x, 0, r.x, height]} stroke="#fffefb" strokeWidth={1} dash={[7, 4]} />
            if (z.kind === 'drift') return <Box key={i} {...r} fill="rgba(255,254,251,0.13)" />
            if (z.kind === 'holes' || z.kind === 'hinge') return <Box key={i} {...r} fill="rgba(255,254,251,0.22)" />
            return (
              <Box
                key={i}
                {...r}
                stroke={z.kind === 'barcode' ? '#fffefb' : '#e9cf9a'}
                strokeWidth={1}
                dash={z.kind === 'barcode' ? undefined : [4, 4]}
              />
            )
          })}
        </Layer>
      )}
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
              stroke={chosen === p.id ? '#fffefb' : 'transparent'}
              strokeWidth={1}
              draggable={!readOnly && !p.locked}
              onMouseEnter={e => {
                const s = e.target.getStage()
                if (s) s.container().style.cursor = 'move'
              }}
              onMouseLeave={e => {
                const s = e.target.getStage()
                if (s) s.container().style.cursor = ''
              }}
              onMouseDown={() => onChoose(p.id)}
              onTap={() => onChoose(p.id)}
              onDragEnd={e => placed(p, e.target)}
              onTransformEnd={e => placed(p, e.target)}
            />
          )
        })}
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

/** A box as a node that is placed by its middle. */
const centred = ({ x, y, width, height }: Rect) => ({
  x: x + width / 2,
  y: y + height / 2,
  width,
  height,
  offsetX: width / 2,
  offsetY: height / 2,
})
