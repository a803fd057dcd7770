'use client'
import { Select } from 'antd'
import Link from 'next/link'
import { useMemo, useState } from 'react'
import type { Finding } from '@/core/check'
import { listingFindings, profileOf } from '@/core/outlets'
import { BookTop, NoBook } from '@/parts/BookTop'
import { kindWords } from '@/parts/kinds'
import { Bitmap } from '@/parts/Bitmap'
import { isCommand, isTyping, useKeys } from '@/parts/useKeys'
import { PageCanvas } from '@/parts/PageCanvas'
import { Sill, sillOf } from '@/parts/Sill'
import { usePress } from '@/parts/usePress'
import { chooseEdition, useOpenBook } from '@/parts/openBook'
import type { PressClient } from '@/workers/client'
import type { Leaves } from '@/core/chain'
import { causeLink, causesOf, placeWords } from './grouping'
import './check.css'
import { draftOf } from '@/core/book'

const severities: Record<Finding['severity'], string> = { stop: 'stops', mend: 'to mend', remark: 'a remark' }

/** The check: findings as a proof-reader marks them, by cause, each at its place. */
export function CheckRoom({ bookId }: { bookId: string }) {
  const view = useOpenBook(bookId, { leaves: true })
  const { book, edition, outletId, figures, leaves, version } = view
  const [at, setAt] = useState(0)

  const findings = useMemo(() => {
    if (!figures || !book || !edition || !outletId) return undefined
    return [
      ...figures.findings,
      ...listingFindings(book, edition, draftOf(book, edition.id, outletId), profileOf(outletId, view.outlets)),
    ]
  }, [figures, book, edition, outletId, view.outlets])
  const causes = useMemo(
    () => causesOf([...(findings ?? [])].sort((a, b) => rank[a.severity] - rank[b.severity])),
    [findings],
  )
  const flat = causes.flatMap(c => c.findings)
  const chosen = flat[Math.min(at, flat.length - 1)]

  useKeys(e => {
    if (isTyping(e) || isCommand(e)) return
    const to = { ArrowDown: at + 1, ArrowUp: at - 1 }[e.key]
    if (to === undefined) return
    e.preventDefault()
    setAt(Math.max(0, Math.min(flat.length - 1, to)))
  })

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
                    options={edition.outlets.map(o => ({ value: o, label: profileOf(o, view.outlets).name }))}
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

/** Where a finding stands: a page, or the painted sheet of the cover; and its box there. Points. */
interface Placed {
  page?: number
  sheet?: { bitmap: ImageBitmap; width: number; height: number }
  box?: { x: number; y: number; width: number; height: number }
}

async function placed(
  press: PressClient,
  bookId: string,
  editionId: string,
  outletId: string | undefined,
  place: Finding['place'],
): Promise<Placed> {
  if (place.kind === 'page' || place.kind === 'text') {
    const page = place.kind === 'page' ? place.page : await press.pageOf(bookId, editionId, place.section, place.block)
    if (page === undefined || !place.section || !place.block) return { page }
    return { page, box: await press.boxOn(bookId, editionId, page, place.section, place.block) }
  }
  if (place.kind !== 'cover') return {}
  const { flat, pieces } = await press.cover(bookId, editionId, outletId)
  const width = flat.width + flat.bleed.left + flat.bleed.right
  const bitmap = await press.paintCover(bookId, editionId, 'sheet', (SHEET / width) * 2, outletId)
  const piece = pieces.find(p => p.id === place.piece)?.box ?? (place.piece === 'spine' ? flat.panels.spine : undefined)
  const box = piece && { ...piece, x: piece.x + flat.bleed.left, y: piece.y + flat.bleed.top }
  return { sheet: { bitmap, width, height: flat.height + flat.bleed.top + flat.bleed.bottom }, ...(box ? { box } : {}) }
}

/** Width of the painted sheet, pixels. */
const SHEET = 390

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
  const { place } = finding
  const { answer, trouble } = usePress(
    async press => ({ of: finding, ...(await placed(press, bookId, editionId, outletId, place)) }),
    [bookId, editionId, outletId, finding, place],
    { anew: [version] },
  )
  // While another finding is looked up, its own place is not that of the one before.
  const { page, box, sheet } = answer?.of === finding ? answer : {}
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
  const scale = Math.min(SHEET / leaves.width, 560 / leaves.height)
  if (page !== undefined)
    return (
      <>
        <div className="leaf" style={{ width: leaves.width * scale, height: leaves.height * scale }}>
          <PageCanvas
            bookId={bookId}
            editionId={editionId}
            index={page}
            version={version}
            width={leaves.width}
            height={leaves.height}
            scale={scale}
            label={`Page ${leaves.pages[page]?.label ?? ''}`}
          />
          {caret(box, scale)}
        </div>
        <p className="caption">page {leaves.pages[page]?.label}</p>
      </>
    )
  if (sheet)
    return (
      <div className="leaf" style={{ width: SHEET, height: (sheet.height * SHEET) / sheet.width }}>
        <Bitmap bitmap={sheet.bitmap} label="Cover" style={{ width: '100%', height: '100%' }} />
        {caret(box, SHEET / sheet.width)}
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
