'use client'
import { Button } from 'antd'
import type { ReactNode } from 'react'
import { SAMPLE } from '@/core/activity'
import { Bitmap } from '@/parts/Bitmap'
import { isTyping, useKeys } from '@/parts/useKeys'
import { usePress } from '@/parts/usePress'
import type { PressClient } from '@/workers/client'
import { useSeen } from './Flatplan'

/** Width of a sample, pixels. */
const WIDTH = 118
const SCALE = WIDTH / SAMPLE.width

/** What can be taken from a shelf: shown as a page that is made by it. */
export interface Offer {
  id: string
  name: string
  says: string
  /** What the sample follows from beside the offer itself. */
  of: string
  sample(press: PressClient, scale: number): Promise<ImageBitmap | undefined>
  take: () => void
  /** Beside its name: ways to part with it. */
  besides?: ReactNode
}

/** Offers by group, each as a page; samples are made as they come into view. Escape puts the shelf away. */
export function Shelf({
  groups,
  onClose,
  children,
}: {
  groups: { name: string; offers: Offer[] }[]
  onClose: (() => void) | undefined
  children?: ReactNode
}) {
  const [watch, seen] = useSeen()
  useKeys(e => {
    if (!isTyping(e) && !e.defaultPrevented && e.key === 'Escape') onClose?.()
  })
  let place = 0
  return (
    <div className="kind-shelf" ref={watch}>
      {onClose && (
        <Button size="small" type="text" className="all" onClick={onClose}>
          ← All pages
        </Button>
      )}
      {children}
      {groups.map(({ name, offers }) => (
        <section key={name} aria-label={name}>
          <h2>{name}</h2>
          <div className="samples">
            {offers.map(offer => {
              const at = place++
              return (
                <div key={offer.id}>
                  <button type="button" className="offer" data-left={at} onClick={offer.take}>
                    <Sample offer={offer} seen={seen.has(at)} />
                    <b>{offer.name}</b> <span>{offer.says}</span>
                  </button>
                  {offer.besides}
                </div>
              )
            })}
          </div>
        </section>
      ))}
    </div>
  )
}

function Sample({ offer, seen }: { offer: Offer; seen: boolean }) {
  const { sample, id, of } = offer
  const { answer } = usePress(
    async p => (seen ? sample(p, SCALE * Math.min(3, window.devicePixelRatio || 1)) : undefined),
    // The offer is made anew with every drawing of the room; its sample follows from these.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [id, of, seen],
  )
  const style = { width: WIDTH, height: SAMPLE.height * SCALE }
  return (
    <span className="sample" style={style} aria-hidden>
      {answer && <Bitmap bitmap={answer} label={`A page: ${offer.name}`} style={style} />}
    </span>
  )
}
