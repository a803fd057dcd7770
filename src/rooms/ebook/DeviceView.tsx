'use client'
import { type MouseEvent, useCallback, useEffect, useImperativeHandle, useRef, useState, type Ref } from 'react'
import { targetIn } from '@/core/files'
import type { Pages } from './copy'
import { type Device, type Reader, tones } from './devices'
import { readerStyle } from './readerStyle'
import { blocksOf, type LetterPlace, Screen, wordsOf } from './screen'
import { facing, type Placed, placeOn } from './spread'
import { usePage } from './usePage'

/** Where in a page of the ebook somebody wants to be. */
export type Target = { at: 'start' | 'end' } | { id: string } | { words: string }

/** What is seen: which screen of how many of its page, and the printed page that it begins on. */
export interface Seen {
  path: string
  screen: number
  count: number
  printed?: string | undefined
}

/** Words that were pointed at. */
export interface Picked {
  path: string
  words: string
  /** Of the blocks of this page that say the same, which it is. */
  nth: number
}

export interface DeviceHandle {
  turn(by: 1 | -1): void
}

/** What shows around a page that does not have the form of the screen. */
const AROUND_PAGE = '#d9d6cf'

/** How long a slow screen takes to turn a page, milliseconds. */
const SLOW = 380

interface Props {
  ref: Ref<DeviceHandle>
  pages: Pages
  path: string
  target: Target
  device: Device
  reader: Reader
  /** What is shown has no colours. */
  greys: boolean
  /** Screen pixels a pixel of the device. */
  scale: number
  onSeen: (seen: Seen) => void
  onPick: (picked: Picked) => void
  /** A link leads to another place of the book. */
  onLead: (target: string) => void
  /** … or out of it. */
  onOut: (href: string) => void
  /** Turned over the end of the page, or its beginning. */
  onBeyond: (by: 1 | -1) => void
}

/** A page of the ebook on a device, as a reading program shows it: in a frame that runs nothing, screen by screen. */
export function DeviceView(props: Props) {
  const { pages, path, target, device, reader, scale, onSeen, onBeyond } = props
  const frame = useRef<HTMLIFrameElement>(null)
  const screen = useRef<Screen>(undefined)
  // The letter that was read first: it stays in sight when the letters change, however often.
  const kept = useRef<LetterPlace>({ block: 0, letter: 0 })
  const arrived = useRef<Target>(undefined)
  const [slow, setSlow] = useState(false)
  const [note, setNote] = useState<string>()
  const { fixed } = pages.copy
  const other = facing(pages.copy, path, device)
  // A fixed page is as it is; the device shows the whole of it.
  const style = fixed ? '' : readerStyle(device, reader, pages.carries)
  const place = placeOn(device, pages.copy, path)
  const placeBeside = other === undefined ? undefined : placeOn(device, pages.copy, other)
  const { shown } = place
  const beside = useRef<HTMLIFrameElement>(null)
  const source = usePage(frame, { pages, path, style, onDressed: () => void ready() })
  const sourceBeside = usePage(beside, { pages, path: other, style })

  const look = useCallback(() => {
    const s = screen.current
    if (!s) return
    onSeen({ path, screen: s.now, count: s.count, printed: s.printed })
  }, [onSeen, path])

  const go = useCallback(
    (to: Target) => {
      const s = screen.current
      if (!s) return
      s.show(screenFor(s, to))
      kept.current = s.top
      look()
    },
    [look],
  )
  useEffect(() => {
    if (arrived.current === target) return
    // On the way to another page the frame goes there once it is loaded.
    if (screen.current) go(target)
  }, [target, go])

  /** The page has its words and its styles: they are laid out on screens. */
  const ready = async (): Promise<void> => {
    const doc = frame.current?.contentDocument
    if (!doc?.body) return
    await doc.fonts.ready
    await Promise.all([...doc.images].map(arrival))
    screen.current = new Screen(doc, shown)
    screen.current.show(0)
    if (arrived.current === target) {
      screen.current.show(screen.current.screenOfLetter(kept.current))
      return look()
    }
    arrived.current = target
    go(target)
  }

  const turn = (by: 1 | -1): void => {
    const s = screen.current
    if (!s) return
    setNote(undefined)
    if (device.ink) {
      setSlow(true)
      setTimeout(() => setSlow(false), SLOW)
    }
    if (s.now + by < 0 || s.now + by >= s.count) return onBeyond(by)
    s.show(s.now + by)
    kept.current = s.top
    look()
  }
  useImperativeHandle(props.ref, () => ({ turn }))

  /** What lies under the pointer, on this page or the one beside it. */
  const pointed = (e: MouseEvent<HTMLElement>): Element | null =>
    elementUnder(e, scale, place, screen.current?.doc) ??
    (placeBeside ? elementUnder(e, scale, placeBeside, beside.current?.contentDocument) : null)
  const press = (e: MouseEvent<HTMLElement>): void => {
    const s = screen.current
    const hit = pointed(e)
    if (!s || note !== undefined) return setNote(undefined)
    if (playsOrOpens(hit)) return look()
    const link = hit?.closest('a[href]')
    if (link) return follow(link, s)
    const part = (e.clientX - e.currentTarget.getBoundingClientRect().left) / (device.width * scale)
    if (part < 0.2) return turn(-1)
    if (part > 0.8) return turn(1)
    const on = hit?.ownerDocument
    const block = on && blocksOf(on).findLast(b => b.contains(hit))
    if (!block) return
    const words = wordsOf(block)
    const same = blocksOf(on).filter(b => wordsOf(b) === words)
    props.onPick({ path: on === s.doc ? path : other!, words, nth: Math.max(0, same.indexOf(block)) })
  }
  const follow = (link: Element, s: Screen): void => {
    const href = link.getAttribute('href')!
    if (/^[a-z][a-z\d+.-]*:/i.test(href)) return props.onOut(href)
    const to = targetIn(path, href)
    const id = to.split('#')[1]
    const called = link.getAttribute('role') === 'doc-noteref' && id ? s.doc.getElementById(id) : null
    if (called) setNote(wordsOf(called))
    else props.onLead(to)
  }

  const { paper, ink } = tones(device, reader.light)
  return (
    <div className="joined">
      <div
        className="device"
        data-slow={slow}
        data-ink={props.greys}
        data-fixed={!!fixed}
        style={{
          width: device.width * scale,
          height: device.height * scale,
          background: fixed ? AROUND_PAGE : paper,
          color: ink,
        }}
      >
        {source && (
          <PageFrame
            ref={frame}
            title="The page as it is read"
            source={source}
            placed={place}
            scale={scale}
            onLoad={() => void ready()}
          />
        )}
        {placeBeside && sourceBeside && (
          <PageFrame ref={beside} title="The page beside it" source={sourceBeside} placed={placeBeside} scale={scale} />
        )}
        {/* What is under the pointer is asked of the page below: a frame that runs nothing answers nobody itself. */}
        <div
          className="glass"
          onClick={press}
          onMouseMove={e =>
            (e.currentTarget.style.cursor = pointed(e)?.closest('a[href], audio, video, summary')
              ? 'pointer'
              : 'default')
          }
        />
        {note !== undefined && <Note words={note} paper={paper} onBack={() => setNote(undefined)} />}
      </div>
    </div>
  )
}

/** When a picture is there, or is known never to be. */
const arrival = (picture: HTMLImageElement): Promise<void> =>
  new Promise(done => {
    if (picture.complete) return done()
    for (const end of ['load', 'error']) picture.addEventListener(end, () => done(), { once: true })
  })

/** What lies under the pointer on a page that is placed on the glass. */
function elementUnder(
  { currentTarget, clientX, clientY }: MouseEvent<HTMLElement>,
  scale: number,
  { left, top, fits }: Placed,
  doc: Document | null | undefined,
): Element | null {
  const box = currentTarget.getBoundingClientRect()
  return (
    doc?.elementFromPoint(((clientX - box.left) / scale - left) / fits, ((clientY - box.top) / scale - top) / fits) ??
    null
  )
}

/** Plays or stops the recording that was pressed, opens or closes its words; false where it was neither. */
function playsOrOpens(hit: Element | null): boolean {
  const plays = hit?.closest<HTMLMediaElement>('audio, video')
  // Where the device has nothing to play with, nothing is heard.
  if (plays?.paused) plays.play().catch(() => undefined)
  else plays?.pause()
  const opens = hit?.closest('summary')
  opens?.parentElement?.toggleAttribute('open')
  return !!(plays ?? opens)
}

/** A page of the ebook where it lies on the screen: in a frame that runs nothing. */
function PageFrame({
  ref,
  title,
  source,
  placed: { shown, fits, left, top },
  scale,
  onLoad,
}: {
  ref: Ref<HTMLIFrameElement>
  title: string
  source: string
  placed: Placed
  scale: number
  onLoad?: () => void
}) {
  return (
    <iframe
      ref={ref}
      title={title}
      sandbox="allow-same-origin"
      src={source}
      onLoad={onLoad}
      style={{
        width: shown.width,
        height: shown.height,
        transform: `scale(${scale * fits})`,
        left: left * scale,
        top: top * scale,
      }}
    />
  )
}

/** A note, over the foot of the page that calls it. */
function Note({ words, paper, onBack }: { words: string; paper: string; onBack: () => void }) {
  'use memo'
  return (
    <aside className="popup" role="dialog" aria-label="Note" style={{ background: paper }}>
      <p>{words.replace(/^\d+\s*/, '')}</p>
      <button type="button" onClick={onBack}>
        Back to the text
      </button>
    </aside>
  )
}

function screenFor(s: Screen, to: Target): number {
  if ('id' in to) return s.screenOfId(to.id)
  if ('at' in to) return to.at === 'end' ? s.count - 1 : 0
  const block = blocksOf(s.doc).find(b => wordsOf(b) === to.words)
  return block ? s.screenOf(block) : 0
}
