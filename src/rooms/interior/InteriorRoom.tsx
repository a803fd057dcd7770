'use client'
import { App, Checkbox, Popover } from 'antd'
import { useRouter, useSearchParams } from 'next/navigation'
import { useCallback, useEffect, useLayoutEffect, useMemo, useRef, useState } from 'react'
import { readStyle, styleById } from '@/core/pages'
import { shippedFamilies } from '@/core/type'
import type { Asset, Edition, OwnFamily, StyleDocument } from '@/core/book'
import { setInStyle } from '@/data/styles'
import { Cancelled, formatTrim, inUnit } from '@/core/trade'
import { showLength } from '@/parts/lengths'
import { BookTop, NoBook } from '@/parts/BookTop'
import { Sill, sillOf } from '@/parts/Sill'
import { useOpenBook } from '@/parts/useOpenBook'
import { press } from '@/workers/client'
import type { Leaves } from '@/workers/press.worker'
import { MarginNote } from './MarginNote'
import { Compare } from './Compare'
import { Exception } from './Exception'
import { Files } from './Files'
import { Find, type Match } from './Find'
import { Fit } from './Fit'
import { type Overlay, overlays, PageViews } from './PageViews'
import { notes, valueNames } from './notes'
import { StyleShelf } from './StyleShelf'
import { Wishes } from './Wishes'
import { PageCanvas } from '@/parts/PageCanvas'
import { spreadOf, Strip } from './Strip'
import { changeStyle } from './changeStyle'
import './interior.css'

const zooms = [{ words: 'whole spread', value: 0 }, { words: '100 %', value: 96 / 72 }, { words: '200 %', value: (96 / 72) * 2 }]

/** The interior: the open spread true to the press, the style as notes in its margins, all spreads below. */
export function InteriorRoom({ bookId }: { bookId: string }) {
  const looked = useRef<{ pages: number[]; scale: number }>(undefined)
  const [early, setEarly] = useState<{ version: number; pages: Map<number, ImageBitmap> }>()
  const versionNow = useRef(0)
  // A changed style is seen on the open spread first; the rest of the book follows.
  const view = useOpenBook(bookId, true, 'print', async edition => {
    if (!looked.current) return
    const start = performance.now()
    // Where it fails the setting that follows fails, too, and says why.
    const seen = await press().firstLook(bookId, edition.id, looked.current.pages, looked.current.scale).catch(() => [])
    if (!seen.length) return
    setEarly({ version: versionNow.current, pages: new Map(seen.map(s => [s.page, s.bitmap])) })
    performance.measure('porchlight first look', { start })
  })
  const params = useSearchParams()
  const asked = params.get('page')
  // A place of the text that was asked for: its page is shown, its word marked.
  const [section, block, chars] = [params.get('section'), params.get('block'), Number(params.get('chars')) || 0]
  const router = useRouter()
  const { message } = App.useApp()
  const { book, edition, leaves, figures, was, version } = view
  versionNow.current = version
  const [chosen, setChosen] = useState<number>()
  const [shown, setShown] = useState<ReadonlySet<Overlay>>(new Set())
  const [layout, setLayout] = useState<'spread' | 'single' | 'all'>('spread')
  const [found, setFound] = useState<{ matches: Match[]; at: number }>({ matches: [], at: 0 })
  const [mark, setMark] = useState<Match>()
  const [zoom, setZoom] = useState(0)
  const [choosing, setChoosing] = useState(false)
  const [other, setOther] = useState<{ style: string | StyleDocument; name: string }>()

  // The first view is an opening that faces a full page of text: it shows the most of a style.
  const first = useMemo(() => (leaves ? firstView(leaves) : -1), [leaves])
  const last = leaves ? (layout === 'single' ? leaves.pages.length - 1 : spreadOf(leaves.pages.length - 1)) : -1
  const left = Math.min(chosen ?? (asked && /^\d+$/.test(asked) ? spreadOf(Number(asked)) : first), last)
  const go = useCallback((to: number) => setChosen(Math.max(-1, Math.min(last, to))), [last])

  useEffect(() => {
    if (!leaves || !edition || !section || !block) return
    let gone = false
    void press().wordInPages(bookId, edition.id, { section, block, chars }).then(found => {
      if (gone || !found) return
      setChosen(c => c ?? spreadOf(found.page))
      setMark(found)
    }, (e: Error) => !gone && !(e instanceof Cancelled) && message.error(e.message))
    return () => void (gone = true)
  }, [leaves, edition?.id, bookId, section, block, chars])

  useEffect(() => {
    const onKey = (e: KeyboardEvent): void => {
      const typing = e.target instanceof HTMLElement && e.target.closest('input, textarea, [contenteditable], .ant-select')
      if (typing || e.ctrlKey || e.metaKey || e.altKey) return
      const by = layout === 'single' ? 1 : 2
      const to = { ArrowLeft: left - by, PageUp: left - by, ArrowRight: left + by, PageDown: left + by, Home: -1, End: last }[e.key]
      if (to === undefined) return
      e.preventDefault()
      go(to)
    }
    addEventListener('keydown', onKey)
    return () => removeEventListener('keydown', onKey)
  }, [left, last, go, layout])

  if (view.missing) return <NoBook />
  const base = styleById(edition?.style ?? '', book?.styles)
  const change = (path: string, value: number | boolean | string): void => {
    if (edition) void changeStyle(bookId, edition.id, path, value, readStyle(base, path), valueNames[path] ?? path)
  }
  // A click on a page opens the text that stands there.
  const open = (page: number, x: number, y: number): void => {
    if (!edition) return
    void press().placeAt(bookId, edition.id, page, x, y).then(place => {
      const made = place && book?.sections.find(s => s.id === place.section)?.made
      if (place && !book?.plan) router.push(made ? `/book/${encodeURIComponent(bookId)}/plan` : `/book/${encodeURIComponent(bookId)}/text?section=${encodeURIComponent(place.section)}&block=${encodeURIComponent(place.block)}&chars=${place.chars}`)
    })
  }
  const own = Object.keys(edition?.styleChanges ?? {}).length
  return (
    <>
      <main id="room" className="room interior">
        <BookTop bookId={bookId} view={view} stage="interior" />
        {!leaves && <p className="waiting" role="status">{view.trouble ?? (book && !edition ? 'This book has no print edition.' : 'Setting the pages …')}</p>}
        {leaves && edition && (
          <>
            <p className="caption">
              <button type="button" className="stylename" onClick={() => setChoosing(true)}>{base.name}</button>{own ? `, with ${own === 1 ? 'one change' : `${own} changes`} of your own` : ''} · {formatTrim(edition.trim ?? '')} · pages {(layout === 'single' ? [Math.max(0, left)] : [left, left + 1]).filter(p => leaves.pages[p]).map(p => leaves.pages[p]!.label).join('–')} of {leaves.pages.length}
              {view.trouble && <span className="trouble" role="alert"> {view.trouble}</span>}
            </p>
            {other ? <Compare bookId={bookId} editionId={edition.id} leaves={leaves} figures={figures} version={version} left={left} name={own ? `${base.name}, changed` : base.name} other={other} onLeave={() => setOther(undefined)} onTake={() => void setInStyle(bookId, edition.id, typeof other.style === 'string' ? { id: other.style, name: other.name } : other.style, typeof other.style === 'string' ? undefined : other.style).then(() => setOther(undefined), (e: Error) => message.error(e.message))} /> : layout === 'all' ? <Strip overview bookId={bookId} editionId={edition.id} leaves={leaves} version={version} left={spreadOf(Math.max(0, left))} onChoose={l => { setChosen(l); setLayout('spread') }} /> : <Specimen key={edition.id} bookId={bookId} editionId={edition.id} leaves={leaves} version={version} left={left} shown={shown} single={layout === 'single'} found={found.matches.length || !mark ? found.matches : [mark]} edition={edition} assets={book?.assets ?? []} fonts={book?.fonts ?? []} hasText={!book?.plan} zoom={zoom} early={early?.version === version ? early.pages : undefined} onLook={(pages, scale) => { looked.current = { pages, scale } }} onChange={change} onPlace={open} onGo={p => setChosen(layout === 'single' ? p : spreadOf(p))} />}
            <div className="views">
              <button type="button" onClick={() => setChoosing(true)}>styles …</button>
              {figures?.pages !== undefined && !book?.plan && <Fit bookId={bookId} editionId={edition.id} pages={figures.pages} />}
              {book && <Files book={book} editionId={edition.id} grey={edition.ink !== 'colour'} starts={new Set(leaves.starts)} />}
              <Popover trigger="click" placement="top" content={<div className="overlays">{overlays.map(o => <Checkbox key={o.id} checked={shown.has(o.id)} onChange={() => setShown(s => { const n = new Set(s); if (!n.delete(o.id)) n.add(o.id); return n })}>{o.words}</Checkbox>)}</div>}>
                <button type="button" aria-pressed={shown.size > 0}>show …</button>
              </Popover>
              <Find bookId={bookId} editionId={edition.id} version={version} from={left} onGo={p => { setChosen(layout === 'single' ? p : spreadOf(p)); if (layout === 'all') setLayout('spread') }} onFound={(matches, at) => setFound({ matches, at })} />
              <button type="button" aria-pressed={layout === 'single'} onClick={() => setLayout(l => (l === 'single' ? 'spread' : 'single'))}>one page</button>
              <button type="button" aria-pressed={layout === 'all'} onClick={() => setLayout(l => (l === 'all' ? 'spread' : 'all'))}>all pages</button>
              {zooms.map(z => <button key={z.words} type="button" aria-pressed={zoom === z.value} onClick={() => setZoom(z.value)}>{z.words}</button>)}
            </div>
            <StyleShelf bookId={bookId} edition={edition} present={leaves.style} version={version} ratio={leaves.height / leaves.width} open={choosing} onClose={() => setChoosing(false)} onCompare={(style, name) => { setOther({ style, name }); setChoosing(false) }} />
            {layout !== 'all' && <Strip bookId={bookId} editionId={edition.id} leaves={leaves} version={version} left={spreadOf(Math.max(0, left))} onChoose={go} />}
          </>
        )}
      </main>
      <Sill figures={figures ? sillOf(figures, was) : []} asks={view.settling && leaves ? 'settling …' : figures?.findings[0]?.message} />
    </>
  )
}

function Specimen({ bookId, editionId, assets, fonts, leaves, version, left, shown, single, found, edition, hasText, zoom, early, onLook, onChange, onPlace, onGo }: { edition: Edition; assets: Asset[]; fonts: OwnFamily[]; hasText: boolean; bookId: string; editionId: string; leaves: Leaves; version: number; left: number; shown: ReadonlySet<Overlay>; single: boolean; found: Match[]; zoom: number; /** Pages in a changed style, while the book is being set in it. */ early: Map<number, ImageBitmap> | undefined; onLook: (pages: number[], scale: number) => void; onChange: (path: string, value: number | boolean | string) => void; onPlace: (page: number, x: number, y: number) => void; onGo: (page: number) => void }) {
  const stage = useRef<HTMLDivElement>(null)
  const [room, setRoom] = useState({ width: 0, height: 0 })
  const [lines, setLines] = useState<string[]>([])
  useLayoutEffect(() => {
    const e = stage.current!
    const watch = new ResizeObserver(() => setRoom({ width: e.clientWidth, height: e.clientHeight }))
    watch.observe(e)
    return () => watch.disconnect()
  }, [])
  const fit = room.width ? Math.min((room.width - 40) / ((single ? 1 : 2) * leaves.width), (room.height - 16) / leaves.height) : 0
  const scale = zoom || fit
  // Hairlines from each note to what it rules; they are measured after the notes have found their places.
  useLayoutEffect(() => {
    const box = stage.current?.parentElement
    const spread = stage.current?.querySelector('.spread')
    if (!box || !spread || zoom || single) return setLines([])
    const b = box.getBoundingClientRect()
    const s = spread.getBoundingClientRect()
    setLines(notes.flatMap(n => {
      const note = box.querySelector(`#note-${n.id}`)?.getBoundingClientRect()
      if (!note || !leaves.pages[left + n.at.page]) return []
      const fromX = (n.side === 'left' ? note.right + 4 : note.left - 4) - b.left
      const fromY = note.top + 11 - b.top
      const toX = s.left - b.left + (n.at.page + n.at.x) * (s.width / 2)
      const toY = s.top - b.top + n.at.y * s.height
      const bend = n.side === 'left' ? s.left - b.left - 14 : s.right - b.left + 14
      return [`M${fromX} ${fromY}H${bend}V${toY}H${toX}`]
    }))
  }, [scale, room, zoom, single, leaves, left])
  useEffect(() => onLook(single ? [Math.max(0, left)] : [left, left + 1], scale * devicePixelRatio), [left, single, scale])
  const px = (v: number): number => v * scale
  return (
    <div className="specimen">
      <div className="margin">{notes.filter(n => n.side === 'left').map(n => <MarginNote key={n.id} note={n} style={leaves.style} bookId={bookId} editionId={editionId} assets={assets} fonts={fonts} onChange={onChange} />)}
        <p className="aside">{leaves.pages.length} pages ask for {showLength(leaves.insideAsked, 2)} inside{inUnit(leaves.block.x, 'in') > leaves.style.margins.inside + 0.001 ? `; they have ${showLength(leaves.block.x, 2)}` : ''}.</p>
      </div>
      <div className={zoom ? 'stage zoomed' : 'stage'} ref={stage} tabIndex={zoom ? 0 : -1} role={zoom ? 'region' : undefined} aria-label={zoom ? 'The open spread, enlarged' : undefined}>
        {scale > 0 && (
          <div className="spread">
            {(single ? [Math.max(0, left)] : [left, left + 1]).map(p => (
              <div key={p - left} className={leaves.pages[p] ? 'page' : 'page none'} style={{ width: px(leaves.width), height: px(leaves.height) }} title={leaves.pages[p] && !leaves.pages[p].blank ? 'A click opens the text here' : undefined} onClick={e => { const box = e.currentTarget.getBoundingClientRect(); onPlace(p, (e.clientX - box.left) / scale, (e.clientY - box.top) / scale) }}>
                {leaves.pages[p] && <PageCanvas bookId={bookId} editionId={editionId} index={p} version={version} width={leaves.width} height={leaves.height} scale={scale} early={early?.get(p)} label={`Page ${leaves.pages[p].label}${leaves.pages[p].blank ? ', blank' : ''}`} />}
                {leaves.pages[p]?.section && hasText && <Exception bookId={bookId} edition={edition} section={leaves.pages[p].section} title={leaves.pages[p].opens ?? ''} style={leaves.style} />}
                {leaves.pages[p] && (shown.size > 0 || found.length > 0) && <PageViews bookId={bookId} editionId={editionId} leaves={leaves} version={version} page={p} scale={scale} shown={shown} found={found.flatMap(m => (m.page === p ? m.boxes : []))} />}
              </div>
            ))}
          </div>
        )}
      </div>
      <div className="margin">{notes.filter(n => n.side === 'right').map(n => <MarginNote key={n.id} note={n} style={leaves.style} bookId={bookId} editionId={editionId} assets={assets} fonts={fonts} onChange={onChange} />)}
        {hasText && <Wishes leaves={leaves} family={shippedFamilies[leaves.style.text.family]?.name ?? fonts.find(f => f.id === leaves.style.text.family)?.name ?? 'This typeface'} onGo={onGo} />}
      </div>
      <svg className="hairlines" aria-hidden><marker id="hairline-end" markerWidth="6" markerHeight="6" refX="3" refY="3"><circle cx="3" cy="3" r="2.4" /></marker>{lines.map(d => <path key={d} d={d} />)}</svg>
    </div>
  )
}

function firstView({ pages }: Leaves): number {
  const body = Math.max(0, pages.findIndex(p => p.label === '1'))
  const full = 0.6 * Math.max(...pages.map(p => p.runs))
  const facing = pages.findIndex((p, i) => i > body && i % 2 === 0 && p.opens && pages[i - 1]!.runs >= full)
  return spreadOf(facing > 0 ? facing : body)
}
