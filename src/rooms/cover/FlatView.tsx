'use client'
import dynamic from 'next/dynamic'
import { type CoverDesign, isWords } from '@/core/book'
import type { CoverView } from '@/workers/answers/covers'
import { called } from './coverChanges'
import type { Marked } from './FlatStage'
import { Measures } from './Measures'
import type { CoverHand } from './useCoverHand'
import type { Look } from './ViewSentence'
import { Whole } from './Whole'

// The stage draws on a canvas and is only wanted here, in a browser.
const FlatStage = dynamic(() => import('./FlatStage').then(m => m.FlatStage), { ssr: false })

/** The flat with its measures: to be worked at with its bleed, or as it is cut. */
export function FlatView({
  cover,
  design,
  size,
  scale,
  picture,
  look,
  marks,
  hand,
  readOnly,
  paper,
  outlet,
}: {
  cover: CoverView
  /** With the pieces that are seen. */
  design: CoverDesign
  /** The sheet with its bleed, points. */
  size: { width: number; height: number }
  /** Pixels a point. */
  scale: number
  picture: ImageBitmap | undefined
  look: Look
  marks: readonly Marked[]
  hand: CoverHand
  readOnly: boolean
  paper: string | undefined
  outlet: string | undefined
}) {
  const whole = look.what === 'flat'
  return (
    <div className="flat" style={{ width: size.width * scale }}>
      <Measures cover={cover} scale={scale} />
      <div
        className="sheet"
        data-cut={!whole}
        style={{
          width: size.width * scale,
          height: size.height * scale,
          ...(whole ? {} : { clipPath: cutOf(cover.flat.bleed, scale) }),
        }}
      >
        <FlatStage
          flat={cover.flat}
          design={onStage(design, cover, hand.held)}
          marks={whole ? marks : NONE}
          picture={picture}
          scale={scale}
          zones={whole && look.zones}
          held={whole ? hand.held : NONE}
          readOnly={readOnly || !whole}
          onChoose={hand.choose}
          onMove={hand.move}
          onPlace={(p, patch) => hand.onPiece(p.id)(`Place the ${called(p)}`, patch)}
        />
      </div>
      <Whole cover={cover} paper={paper} outlet={outlet} />
    </div>
  )
}

/** Words that have nothing to say are taken hold of in the list alone, and nothing comes to rest on them. */
const onStage = (design: CoverDesign, { pieces }: CoverView, held: readonly string[]): CoverDesign => ({
  ...design,
  pieces: design.pieces.filter(p => !isWords(p) || held.includes(p.id) || pieces.some(s => s.id === p.id)),
})

const NONE: never[] = []

/** The sheet as the knife leaves it. */
const cutOf = ({ top, right, bottom, left }: { top: number; right: number; bottom: number; left: number }, s: number) =>
  `inset(${top * s}px ${right * s}px ${bottom * s}px ${left * s}px)`
