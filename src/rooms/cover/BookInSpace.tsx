'use client'
import { type KeyboardEvent, type PointerEvent, useEffect, useRef, useState } from 'react'
import { type Flat, folded } from '@/core/cover'
import { slugOf } from '@/core/book'
import { saveAs } from '@/parts/saveAs'
import { ChoiceValue } from '@/parts/Sentence'
import { usePress } from '@/parts/usePress'
import { useSay } from '@/parts/useSay'
import { useSize } from '@/parts/useSize'
import { type BookScene, bookScene, type Turn } from './bookScene'

/** Pixels a point of what is laid around the book: as sharp as a screen shows it. */
const SHARP = 2.5
/** Pixels across of a picture for an author's site. */
const PICTURE = 2000
const BEGIN: Turn = { yaw: 28, pitch: 8 }
/** Degrees a key turns it by. */
const STEP = 6
const arrows: Record<string, Turn> = {
  ArrowLeft: { yaw: -STEP, pitch: 0 },
  ArrowRight: { yaw: STEP, pitch: 0 },
  ArrowUp: { yaw: 0, pitch: -STEP },
  ArrowDown: { yaw: 0, pitch: STEP },
}
const grounds = [
  { value: 'none', words: 'on nothing' },
  { value: '#f3ecdf', words: 'on paper' },
  { value: '#15343d', words: 'on the dark' },
]
const within = (v: number, most: number): number => Math.max(-most, Math.min(most, v))

/** The book folded, in light: turned by the mouse and by arrow keys, and as a picture for its author's site. */
export function BookInSpace({
  bookId,
  editionId,
  outletId,
  flat,
  finish,
  title,
}: {
  bookId: string
  editionId: string
  outletId: string | undefined
  flat: Flat
  finish: string | undefined
  title: string
}) {
  const say = useSay()
  const [stage, room] = useSize<HTMLDivElement>()
  const canvas = useRef<HTMLCanvasElement>(null)
  const scene = useRef<BookScene>(undefined)
  const turn = useRef<Turn>(BEGIN)
  const [gloss, setGloss] = useState(finish === 'gloss')
  const [ground, setGround] = useState('none')
  const [none, setNone] = useState<string>()
  const { answer: picture, trouble } = usePress(
    async press => press.paintCover(bookId, editionId, 'sheet', SHARP, outletId),
    [bookId, editionId, outletId],
    { anew: [flat] },
  )
  useEffect(() => {
    if (!canvas.current || !picture || !room.width) return
    const { bleed } = flat
    try {
      const made = bookScene(canvas.current, {
        folded: folded(flat),
        picture,
        onPicture: r => ({
          x: (r.x + bleed.left) * SHARP,
          y: (r.y + bleed.top) * SHARP,
          width: r.width * SHARP,
          height: r.height * SHARP,
        }),
        gloss,
      })
      made.resize(room.width, room.height)
      made.draw(turn.current)
      scene.current = made
      return () => {
        made.dispose()
        scene.current = undefined
      }
    } catch (e) {
      const why = e instanceof Error ? e.message : ''
      setNone(
        /webgl/i.test(why) ? 'This browser draws nothing in three dimensions.' : `The book cannot be drawn: ${why}.`,
      )
      return undefined
    }
  }, [picture, flat, gloss, room.width, room.height])
  const turned = (by: Turn): void => {
    turn.current = { yaw: turn.current.yaw + by.yaw, pitch: within(turn.current.pitch + by.pitch, 80) }
    scene.current?.draw(turn.current)
  }
  const key = (e: KeyboardEvent): void => {
    const by = arrows[e.key]
    if (!by) return
    turned(by)
    e.preventDefault()
    e.stopPropagation()
  }
  const drag = (e: PointerEvent): void => {
    if (e.buttons & 1) turned({ yaw: e.movementX * 0.5, pitch: e.movementY * 0.5 })
  }
  const take = (): void =>
    void scene.current?.picture(turn.current, PICTURE, ground === 'none' ? undefined : ground).then(async blob => {
      saveAs(new Uint8Array(await blob.arrayBuffer()), `${slugOf(title, 'book')}-book.png`, 'image/png')
    }, say.failed)
  return (
    <div className="inspace">
      <div className="space" ref={stage}>
        <canvas
          // What drew once in three dimensions is not drawn on by another.
          key={`${gloss}`}
          ref={canvas}
          tabIndex={0}
          role="img"
          aria-label={`${title} as a book. Arrow keys turn it.`}
          style={{ width: room.width, height: room.height }}
          onKeyDown={key}
          onPointerMove={drag}
          onPointerDown={e => e.currentTarget.setPointerCapture(e.pointerId)}
        />
      </div>
      {(none ?? trouble) && <p role="alert">{none ?? trouble}</p>}
      <p className="says">
        Its cover is{' '}
        <ChoiceValue
          label="Surface"
          value={gloss ? 'gloss' : 'matt'}
          disabled={false}
          choices={[
            { value: 'matt', words: 'matt' },
            { value: 'gloss', words: 'glossy' },
          ]}
          onChange={v => setGloss(v === 'gloss')}
        />
        . Turn it with the mouse or the arrow keys, and take{' '}
        <button type="button" disabled={!!none} onClick={take}>
          a picture of it
        </button>{' '}
        <ChoiceValue
          label="Ground of the picture"
          value={ground}
          disabled={false}
          choices={grounds}
          onChange={setGround}
        />
        .
      </p>
    </div>
  )
}
