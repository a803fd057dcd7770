'use client'
import { Select } from 'antd'
import Link from 'next/link'
import { useEffect, useMemo, useRef, useState } from 'react'
import type { Finding } from '@/core/check'
import { listingFindings, profileOf } from '@/core/outlets'
import { BookTop, NoBook } from '@/parts/BookTop'
import { kindWords } from '@/parts/kinds'
import { PageCanvas } from '@/parts/PageCanvas'
import { Sill, sillOf } from '@/parts/Sill'
import { chooseEdition, useOpenBook } from '@/parts/useOpenBook'
import { press } from '@/workers/client'
import type { Leaves } from '@/workers/press.worker'
import { causeLink, causesOf, placeWords } from './grouping'
import './check.css'

const severities: Record<Finding['severity'], string> = { stop: 'stops', mend: 'to mend', remark: 'a remark' }

/** The check: findings as a proof-reader marks them, by cause, each at its place. */
export function CheckRoom({ bookId }: { bookId: string }) {
  const view = useOpenBook(bookId, true)
  const { book, edition, outletId, figures, leaves, version } = view
  const [at, setAt] = useState(0)

  const findings = useMemo(() => {
    if (!figures || !book || !edition || !outletId) return undefined
    return [
      ...figures.findings,
      ...listingFindings(book, edition, book.listings?.[`${edition.id}/${outletId}`] ?? {}, profileOf(outletId)),
    ]
  }, [figures, book, edition, outletId])
  const causes = useMemo(
    () => causesOf([...(findings ?? [])].sort((a, b) => rank[a.severity] - rank[b.severity])),
    [findings],
  )
  const flat = causes.flatMap(c => c.findings)
  const chosen = flat[Math.min(at, flat.length - 1)]

  useEffect(() => {
    const onKey = (e: KeyboardEvent): void => {
      if (
        (e.target instanceof HTMLElement && e.target.closest('input, textarea, .ant-select')) ||
        e.ctrlKey ||
        e.metaKey ||
        e.altKey
      )
        return
      const to = { ArrowDown: at + 1, ArrowUp: at - 1 }[e.key]
      if (to === undefined) return
      e.preventDefault()
      setAt(Math.max(0, Math.min(flat.length - 1, to)))
    }
    addEventListener('keydown', onKey)
    return () => removeEventListener('keydown', onKey)
  }, [at, flat.length])

  if (view.missing) return <NoBook />
  const stops = findings?.filter(f => f.severity === 'stop').length ?? 0
  let index = -1
  return (
    <>
      <main id="room" className="room checkroom">
        <BookTop bookId={bookId} view={view} stage="check" />
        <div className="proof">
          <section aria-label="Findings">
            <p className="for">
              {edition && book && (
                <>
                  <b>{kindWords[edition.kind]}</b> for
                  <Select
                    size="small"
                    variant="borderless"
                    aria-label="Outlet"
                    value={outletId}
                    options={edition.outlets.map(o => ({ value: o, label: profileOf(o).name }))}
                    onChange={o => chooseEdition(bookId, edition.id, o)}
                    popupMatchSelectWidth={150}
                  />
                </>
              )}
              <span>
                {findings
                  ? flat.length
                    ? `${flat.length} ${flat.length === 1 ? 'mark' : 'marks'}, ${stops ? `${stops} of them ${stops === 1 ? 'stops' : 'stop'} the package` : 'none of them stops the package'}`
                    : ''
                  : 'reading …'}
              </span>
            </p>
            {findings && !flat.length && (
              <div className="clean">
                <h2>Nothing to mark</h2>
                <p>Pages, cover, data and listing were read against {figures?.outlet}’s rules. They may be sent.</p>
              </div>
            )}
            {causes.map(c => (
              <section key={c.key} className={`cause ${c.severity}`} aria-label={c.rule}>
                <h2>
                  <i className="caret" aria-hidden>
                    {c.findings.length}
                  </i>
                  {c.rule} <em>{severities[c.severity]}</em>
                </h2>
                <p className="remedy">{c.remedy}</p>
                <ul>
                  {c.findings.map(f => {
                    const i = ++index
                    const link = causeLink(bookId, f)
                    return (
                      <li key={i} aria-current={f === chosen ? 'true' : undefined}>
                        <button type="button" onClick={() => setAt(i)}>
                          <span>{f.message}</span>
                          <em>{[placeWords(f), f.amount].filter(Boolean).join(' · ')}</em>
                        </button>
                        <Link href={link.href}>{link.words}</Link>
                      </li>
                    )
                  })}
                </ul>
              </section>
            ))}
          </section>
          <aside aria-label="The place">
            {chosen && edition && edition.kind !== 'ebook' && leaves && (
              <Place
                bookId={bookId}
                editionId={edition.id}
                outletId={outletId}
                leaves={leaves}
                version={version}
                finding={chosen}
                count={causes.find(c => c.findings.includes(chosen))?.findings.length ?? 1}
              />
            )}
          </aside>
        </div>
      </main>
      <Sill
        figures={figures ? sillOf(figures, view.was) : []}
        asks={view.trouble ?? (view.settling ? 'reading …' : chosen?.message)}
      />
    </>
  )
}

const rank: Record<Finding['severity'], number> = { stop: 0, mend: 1, remark: 2 }

/** The page or cover of a finding with a caret at its place. */
function Place({
  bookId,
  editionId,
  outletId,
  leaves,
  version,
  finding,
  count,
}: {
  bookId: string
  editionId: string
  outletId?: string
  leaves: Leaves
  version: number
  finding: Finding
  count: number
}) {
  const [where, setWhere] = useState<{ page: number; box?: { x: number; y: number; width: number; height: number } }>()
  const [sheet, setSheet] = useState<{
    bitmap: ImageBitmap
    width: number
    height: number
    box?: { x: number; y: number; width: number; height: number }
  }>()
  const [trouble, setTrouble] = useState<string>()
  const canvas = useRef<HTMLCanvasElement>(null)
  const { place } = finding
  useEffect(() => {
    let gone = false
    const work = async (): Promise<void> => {
      setWhere(undefined)
      setTrouble(undefined)
      setSheet(undefined)
      if (place.kind === 'page' || place.kind === 'text') {
        const page =
          place.kind === 'page' ? place.page : await press().pageOf(bookId, editionId, place.section, place.block)
        if (page === undefined) return
        const box =
          place.section && place.block
            ? await press().boxOn(bookId, editionId, page, place.section, place.block)
            : undefined
        if (!gone) setWhere({ page, box })
      } else if (place.kind === 'cover') {
        const cover = await press().cover(bookId, editionId, outletId)
        const { flat } = cover
        const width = flat.width + flat.bleed.left + flat.bleed.right
        const bitmap = await press().paintCover(bookId, editionId, 'sheet', (390 / width) * 2, outletId)
        const piece =
          cover.pieces.find(p => p.id === place.piece)?.box ?? (place.piece === 'spine' ? flat.panels.spine : undefined)
        if (!gone)
          setSheet({
            bitmap,
            width,
            height: flat.height + flat.bleed.top + flat.bleed.bottom,
            ...(piece
              ? {
                  box: {
                    x: piece.x + flat.bleed.left,
                    y: piece.y + flat.bleed.top,
                    width: piece.width,
                    height: piece.height,
                  },
                }
              : {}),
          })
      }
    }
    work().catch((e: Error) => !gone && setTrouble(e.message))
    return () => {
      gone = true
    }
  }, [bookId, editionId, outletId, version, finding])
  useEffect(() => {
    const c = canvas.current
    if (!c || !sheet) return
    c.width = sheet.bitmap.width
    c.height = sheet.bitmap.height
    c.getContext('2d')!.drawImage(sheet.bitmap, 0, 0)
  }, [sheet])
  const caret = (box: { x: number; y: number; width: number; height: number } | undefined, scale: number) =>
    box && (
      <>
        <i
          className="reach"
          style={{
            left: box.x * scale - 4,
            top: box.y * scale - 3,
            width: box.width * scale + 8,
            height: box.height * scale + 6,
          }}
        />
        <i
          className={`mark ${finding.severity}`}
          style={{ left: Math.max(2, box.x * scale - 30), top: box.y * scale - 4 }}
        >
          {count}
        </i>
      </>
    )
  const scale = Math.min(390 / leaves.width, 560 / leaves.height)
  if (where)
    return (
      <>
        <div className="leaf" style={{ width: leaves.width * scale, height: leaves.height * scale }}>
          <PageCanvas
            bookId={bookId}
            editionId={editionId}
            index={where.page}
            version={version}
            width={leaves.width}
            height={leaves.height}
            scale={scale}
            label={`Page ${leaves.pages[where.page]?.label ?? ''}`}
          />
          {caret(where.box, scale)}
        </div>
        <p className="caption">page {leaves.pages[where.page]?.label}</p>
      </>
    )
  if (sheet)
    return (
      <div className="leaf" style={{ width: 390, height: (sheet.height * 390) / sheet.width }}>
        <canvas ref={canvas} role="img" aria-label="Cover" style={{ width: '100%', height: '100%' }} />
        {caret(sheet.box, 390 / sheet.width)}
      </div>
    )
  return (
    <p className="nowhere">
      {trouble
        ? `The place could not be drawn: ${trouble}`
        : place.kind === 'data'
          ? 'This one is in the data, not on a page.'
          : place.kind === 'edition'
            ? 'This one concerns the whole edition.'
            : ''}
    </p>
  )
}
