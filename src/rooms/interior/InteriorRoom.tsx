'use client'
import { useRouter, useSearchParams } from 'next/navigation'
import { useCallback, useEffect, useMemo, useRef, useState } from 'react'
import { readStyle, styleById } from '@/core/pages'
import type { StyleDocument } from '@/core/book'
import { setInStyle } from '@/data/styles'
import { BookTop, NoBook } from '@/parts/BookTop'
import { Sill, sillOf } from '@/parts/Sill'
import { isCommand, isTyping, useKeys } from '@/parts/useKeys'
import { usePress } from '@/parts/usePress'
import { useOpenBook } from '@/parts/openBook'
import { press } from '@/workers/client'
import type { Leaves } from '@/core/chain'
import { Compare } from './Compare'
import { Files } from './Files'
import { Find, type Match } from './Find'
import { Fit } from './Fit'
import { Caption } from './Caption'
import type { Overlay } from './PageViews'
import { ShowChoice } from './ShowChoice'
import { type Layout, SizeChoice } from './SizeChoice'
import { valueNames } from './notes'
import { Specimen } from './Specimen'
import { StyleShelf } from './StyleShelf'
import { Unset } from './Unset'
import { spreadOf, Strip } from './Strip'
import { changeStyle } from './changeStyle'
import { zoomBy } from './zoom'
import './interior.css'
import { useSay } from '@/parts/useSay'
import { useCommit } from '@/parts/useCommit'

/** The interior: the open spread true to the press, the style as notes in its margins, all spreads below. */
export function InteriorRoom({ bookId }: { bookId: string }) {
  const looked = useRef<{ pages: number[]; scale: number }>(undefined)
  const [early, setEarly] = useState<{ version: number; pages: Map<number, ImageBitmap> }>()
  const versionNow = useRef(0)
  // A changed style is seen on the open spread first; the rest of the book follows.
  const view = useOpenBook(bookId, {
    leaves: true,
    print: true,
    first: async looksAt => {
      if (!looked.current) return
      const start = performance.now()
      // Where it fails the setting that follows fails, too, and says why.
      const seen = await press()
        .firstLook(bookId, looksAt, looked.current.pages, looked.current.scale)
        .catch(() => [])
      if (!seen.length) return
      setEarly({ version: versionNow.current, pages: new Map(seen.map(s => [s.page, s.bitmap])) })
      performance.measure('porchlight first look', { start })
    },
  })
  const params = useSearchParams()
  const asked = params.get('page')
  // A place of the text that was asked for: its page is shown, its word marked.
  const [section, block, chars] = [params.get('section'), params.get('block'), Number(params.get('chars')) || 0]
  const router = useRouter()
  const say = useSay()
  const commit = useCommit(bookId)
  const { book, edition, leaves, figures, was, version } = view
  const editionId = edition?.id
  versionNow.current = version
  const [chosen, setChosen] = useState<number>()
  const [shown, setShown] = useState<ReadonlySet<Overlay>>(new Set())
  const [layout, setLayout] = useState<Layout>('spread')
  const [found, setFound] = useState<{ matches: Match[]; at: number }>({ matches: [], at: 0 })
  const [mark, setMark] = useState<Match>()
  const [zoom, setZoom] = useState(0)
  const [fitted, setFitted] = useState(1)
  // Whoever enlarges wants to see the spread, not all pages.
  const setSize = useCallback((of: (zoom: number) => number) => {
    setLayout(l => (l === 'all' ? 'spread' : l))
    setZoom(of)
  }, [])
  const zoomTo = useCallback((by: 1 | -1) => setSize(z => zoomBy(z, by, fitted)), [setSize, fitted])
  const [choosing, setChoosing] = useState(false)
  const [other, setOther] = useState<{ style: string | StyleDocument; name: string }>()

  // The first view is an opening that faces a full page of text: it shows the most of a style.
  const first = useMemo(() => (leaves ? firstView(leaves) : -1), [leaves])
  const last = leaves ? (layout === 'single' ? leaves.pages.length - 1 : spreadOf(leaves.pages.length - 1)) : -1
  const left = Math.min(chosen ?? (asked && /^\d+$/.test(asked) ? spreadOf(Number(asked)) : first), last)
  const go = useCallback((to: number) => setChosen(Math.max(-1, Math.min(last, to))), [last])

  const { answer: place, trouble: unplaced } = usePress(
    async press =>
      leaves && editionId && section && block
        ? press.wordInPages(bookId, editionId, { section, block, chars })
        : undefined,
    [leaves, editionId, bookId, section, block, chars],
  )
  useEffect(() => {
    if (!place) return
    setChosen(c => c ?? spreadOf(place.page))
    setMark(place)
  }, [place])
  useEffect(() => {
    if (unplaced) say.failed(unplaced)
  }, [unplaced, say])

  useKeys(e => {
    if (isTyping(e) || isCommand(e)) return
    if (!other && (e.key === '+' || e.key === '=')) return zoomTo(1)
    if (!other && e.key === '-') return zoomTo(-1)
    if (!other && e.key === '0') return setSize(() => 0)
    // In an enlarged spread these keys move about in it.
    if (e.target instanceof HTMLElement && e.target.closest('.stage.zoomed')) return
    const by = layout === 'single' ? 1 : 2
    const to = {
      ArrowLeft: left - by,
      PageUp: left - by,
      ArrowRight: left + by,
      PageDown: left + by,
      Home: -1,
      End: last,
    }[e.key]
    if (to === undefined) return
    e.preventDefault()
    go(to)
  })

  if (view.missing) return <NoBook />
  const base = styleById(edition?.style ?? '', book?.styles)
  const change = (path: string, value: number | boolean | string): void => {
    if (!edition) return
    const [shipped, words] = [readStyle(base, path), valueNames[path] ?? path]
    void changeStyle(commit, edition.id, { path, value, shipped, words })
  }
  // A click on a page opens the text that stands there.
  const open = (page: number, x: number, y: number): void => {
    if (!edition) return
    void press()
      .placeAt(bookId, edition.id, page, x, y)
      .then(place => {
        const made = place && book?.sections.find(s => s.id === place.section)?.made
        if (place && !book?.plan)
          router.push(
            made
              ? `/book/${encodeURIComponent(bookId)}/plan`
              : `/book/${encodeURIComponent(bookId)}/text?section=${encodeURIComponent(place.section)}&block=${encodeURIComponent(place.block)}&chars=${place.chars}`,
          )
      })
  }
  const own = Object.keys(edition?.styleChanges ?? {}).length
  return (
    <>
      <main id="room" className="room interior">
        <BookTop bookId={bookId} view={view} stage="interior" />
        {!leaves && !(view.trouble && edition) && (
          <p className="waiting" role="status">
            {view.trouble ?? (book && !edition ? 'This book has no print edition.' : 'Setting the pages …')}
          </p>
        )}
        {!leaves && view.trouble && book && edition && (
          <Unset book={book} edition={edition} trouble={view.trouble} onChange={change} onAgain={view.again} />
        )}
        {leaves && edition && (
          <>
            <Caption
              name={base.name}
              edition={edition}
              leaves={leaves}
              pages={layout === 'single' ? [Math.max(0, left)] : [left, left + 1]}
              trouble={view.trouble}
              onStyles={() => setChoosing(true)}
            />
            {other ? (
              <Compare
                bookId={bookId}
                editionId={edition.id}
                leaves={leaves}
                figures={figures}
                version={version}
                left={left}
                name={own ? `${base.name}, changed` : base.name}
                other={other}
                onLeave={() => setOther(undefined)}
                onTake={() =>
                  void setInStyle(
                    bookId,
                    edition.id,
                    typeof other.style === 'string' ? { id: other.style, name: other.name } : other.style,
                    typeof other.style === 'string' ? undefined : other.style,
                  ).then(() => setOther(undefined), say.failed)
                }
              />
            ) : layout === 'all' ? (
              <Strip
                overview
                bookId={bookId}
                editionId={edition.id}
                leaves={leaves}
                version={version}
                left={spreadOf(Math.max(0, left))}
                onChoose={l => {
                  setChosen(l)
                  setLayout('spread')
                }}
              />
            ) : (
              <Specimen
                key={edition.id}
                bookId={bookId}
                editionId={edition.id}
                leaves={leaves}
                version={version}
                left={left}
                shown={shown}
                single={layout === 'single'}
                found={found.matches.length || !mark ? found.matches : [mark]}
                edition={edition}
                assets={book?.assets ?? []}
                fonts={book?.fonts ?? []}
                hasText={!book?.plan}
                zoom={zoom}
                onZoom={zoomTo}
                onFit={setFitted}
                early={early?.version === version ? early.pages : undefined}
                onLook={(pages, scale) => {
                  looked.current = scale ? { pages, scale } : undefined
                }}
                onChange={change}
                onPlace={open}
                onGo={p => setChosen(layout === 'single' ? p : spreadOf(p))}
              />
            )}
            <div className="views">
              <button type="button" onClick={() => setChoosing(true)}>
                styles …
              </button>
              {figures?.pages !== undefined && !book?.plan && (
                <Fit bookId={bookId} editionId={edition.id} pages={figures.pages} />
              )}
              {book && (
                <Files
                  book={book}
                  editionId={edition.id}
                  grey={edition.ink !== 'colour'}
                  starts={new Set(leaves.starts)}
                />
              )}
              <ShowChoice shown={shown} onShow={setShown} />
              <Find
                bookId={bookId}
                editionId={edition.id}
                version={version}
                from={left}
                onGo={p => {
                  setChosen(layout === 'single' ? p : spreadOf(p))
                  if (layout === 'all') setLayout('spread')
                }}
                onFound={(matches, at) => setFound({ matches, at })}
              />
              {/* Two styles held against each other have one size and one layout. */}
              {!other && (
                <SizeChoice
                  layout={layout}
                  zoom={zoom}
                  fitted={fitted}
                  onLayout={setLayout}
                  onWhole={() => setSize(() => 0)}
                  onZoom={zoomTo}
                />
              )}
            </div>
            <StyleShelf
              bookId={bookId}
              edition={edition}
              present={leaves.style}
              version={version}
              ratio={leaves.height / leaves.width}
              open={choosing}
              onClose={() => setChoosing(false)}
              onCompare={(style, name) => {
                setOther({ style, name })
                setChoosing(false)
              }}
            />
            {layout !== 'all' && (
              <Strip
                bookId={bookId}
                editionId={edition.id}
                leaves={leaves}
                version={version}
                left={spreadOf(Math.max(0, left))}
                onChoose={go}
              />
            )}
          </>
        )}
      </main>
      <Sill
        figures={figures ? sillOf(figures, was) : []}
        asks={view.settling && leaves ? 'settling …' : figures?.findings[0]?.message}
      />
    </>
  )
}

function firstView({ pages }: Leaves): number {
  const body = Math.max(
    0,
    pages.findIndex(p => p.label === '1'),
  )
  const full = 0.6 * Math.max(...pages.map(p => p.runs))
  const facing = pages.findIndex((p, i) => i > body && i % 2 === 0 && p.opens && pages[i - 1]!.runs >= full)
  return spreadOf(facing > 0 ? facing : body)
}
