'use client'
import { type ReactNode, useRef, useState } from 'react'
import type { OutletProfile } from '@/core/trade'
import { isCommand, isTyping, useKeys } from '@/parts/useKeys'
import { useSize } from '@/parts/useSize'
import type { ReadingCopy } from '@/workers/answers/reading'
import type { Pages } from './copy'
import { type Device, devices, type Reader, usual } from './devices'
import { type DeviceHandle, DeviceView, type Picked, type Seen, type Target } from './DeviceView'
import { ReaderSentence } from './ReaderSentence'
import { beyond, facing } from './spread'

/** Room around a device, CSS pixels. */
const AROUND = 28

/** Where somebody is: a page of the ebook, and a place in it. */
export interface At {
  path: string
  target: Target
}

/** The device that the ebook is read on, how its reader has set it, and how far they have come. */
export function Desk({
  copy,
  outlet,
  pages,
  at,
  seen,
  making,
  compare,
  onSeen,
  onPick,
  onLead,
  onGo,
}: {
  copy: ReadingCopy | undefined
  /** Where it goes: how its readers show every book. */
  outlet: OutletProfile | undefined
  pages: Pages | undefined
  at: At | undefined
  seen: Seen | undefined
  /** The file is being made. */
  making: boolean
  /** Pictures that are compared, in the place of the device. */
  compare: ReactNode
  onSeen: (seen: Seen) => void
  onPick: (picked: Picked) => void
  /** A link leads to another place of the book. */
  onLead: (target: string) => void
  onGo: (at: At) => void
}) {
  const [wished, setReader] = useState<Reader>(usual)
  const [out, setOut] = useState<{ from: At | undefined; href: string }>()
  const handle = useRef<DeviceHandle>(null)
  const [stage, room] = useSize<HTMLDivElement>()
  const shows = outlet?.ebook?.shows
  const reader = shows?.face ? { ...wished, face: shows.face } : wished
  const device = devices.find(d => d.id === reader.device) ?? devices[0]!
  const goBeyond = (by: 1 | -1): void => {
    const next = copy && at ? beyond(copy, [at.path, facing(copy, at.path, device)], by) : undefined
    if (next) onGo({ path: next, target: { at: by > 0 ? 'start' : 'end' } })
  }
  useKeys(e => {
    if (compare || isTyping(e) || isCommand(e)) return
    const by = { ArrowRight: 1, PageDown: 1, ' ': 1, ArrowLeft: -1, PageUp: -1 }[e.key] as 1 | -1 | undefined
    const on = e.target as HTMLElement
    if (!by || on.closest('.ant-select') || (e.key === ' ' && on.closest('button, a'))) return
    e.preventDefault()
    handle.current?.turn(by)
  })
  const scale = Math.min(1, (room.height - 2 * AROUND) / device.height, (room.width - 2 * AROUND) / device.width)
  return (
    <section className="desk" aria-label="The ebook">
      {compare}
      {/* The device stays while pictures lie over it, so that reading goes on where it was. */}
      <div className="read" inert={!!compare}>
        <ReaderSentence reader={wished} outlet={outlet} fixed={!!copy?.fixed} onChange={setReader} />
        <div className="stage" ref={stage}>
          {pages && at && scale > 0 && (
            <DeviceView
              ref={handle}
              pages={pages}
              path={at.path}
              target={at.target}
              device={device}
              reader={reader}
              greys={!!shows?.greys || !!device.ink}
              scale={scale}
              onSeen={onSeen}
              onPick={onPick}
              onLead={onLead}
              onOut={href => setOut({ from: at, href })}
              onBeyond={goBeyond}
            />
          )}
          {!pages && making && <p className="making">making the file …</p>}
        </div>
        <Turns copy={copy} seen={seen} device={device} onTurn={by => handle.current?.turn(by)} />
        {out && out.from === at && (
          <p className="out" role="status">
            This link leads out of the book: <b>{out.href}</b>
          </p>
        )}
      </div>
    </section>
  )
}

/** How much of the book lies before what is seen, from 0 to 1: by the lengths of its pages. */
function partOf(
  { spine, files }: { spine: string[]; files: Map<string, Blob> },
  { path, screen, count }: Seen,
): number {
  const size = (p: string): number => files.get(p)?.size ?? 0
  const all = spine.reduce((n, p) => n + size(p), 0)
  const before = spine.slice(0, spine.indexOf(path)).reduce((n, p) => n + size(p), 0)
  return all ? (before + (size(path) * (screen + 1)) / count) / all : 0
}

/** Which screen of how many is seen: of fixed pages each is one, or two are that lie side by side. */
function screenIn(copy: ReadingCopy, { path, screen, count }: Seen, device: Device): string {
  if (!copy.fixed) return `${screen + 1} of ${count}`
  const own = [path, facing(copy, path, device)].flatMap(p => (p === undefined ? [] : [copy.spine.indexOf(p) + 1]))
  return `${own.sort((a, b) => a - b).join('–')} of ${copy.spine.length}`
}

/** Turning by hand, and how far the reader has come. */
function Turns({
  copy,
  seen,
  device,
  onTurn,
}: {
  copy: ReadingCopy | undefined
  seen: Seen | undefined
  device: Device
  onTurn: (by: 1 | -1) => void
}) {
  'use memo'
  const part = copy && seen ? partOf(copy, seen) : 0
  return (
    <div className="turns">
      <button type="button" aria-label="A screen back" onClick={() => onTurn(-1)}>
        ←
      </button>
      <span className="far">
        <i style={{ width: `${part * 100}%` }} />
      </span>
      <span className="figures">
        {copy && seen ? `${screenIn(copy, seen, device)} · ${Math.round(part * 100)} %` : ''}
      </span>
      <button type="button" aria-label="A screen on" onClick={() => onTurn(1)}>
        →
      </button>
    </div>
  )
}
