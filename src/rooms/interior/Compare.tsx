'use client'
import { Button } from 'antd'
import type { StyleDocument } from '@/core/book'
import { formatMoney } from '@/core/trade'
import { useFollows } from '@/parts/WriterOnly'
import { PageCanvas } from '@/parts/PageCanvas'
import { showLength } from '@/parts/lengths'
import { usePress } from '@/parts/usePress'
import { useSize } from '@/parts/useSize'
import type { Figures, Leaves } from '@/core/chain'
import type { StyleFigures } from '@/workers/trials'
import { spreadOf } from './Strip'

/** Two styles side by side at the same words, with what each makes of pages, spine and cost. */
export function Compare({
  bookId,
  editionId,
  leaves,
  figures,
  version,
  left,
  name,
  other,
  onTake,
  onLeave,
}: {
  bookId: string
  editionId: string
  leaves: Leaves
  figures?: Figures
  version: number
  left: number
  /** The present style's name. */ name: string
  other: { style: string | StyleDocument; name: string }
  onTake: () => void
  onLeave: () => void
}) {
  const follows = useFollows(bookId)
  const trial = `trial:${editionId}`
  const [stage, room] = useSize<HTMLDivElement>()
  const { answer: tried, trouble: untried } = usePress(
    async press => {
      const found = await press.tryStyle(bookId, editionId, other.style)
      return { figures: found, leaves: await press.leaves(bookId, trial), version: performance.now() }
    },
    [bookId, editionId, trial, other.style],
    { anew: [version] },
  )
  // The same words on the other side: those in the middle of the page that is looked at, since what stands at its head may have begun long before.
  const page = leaves.pages[left]?.blank === false ? left : left + 1
  const { block } = leaves
  const { answer: there, trouble: unplaced } = usePress(
    async press => {
      if (!tried) return undefined
      const place = await press.placeAt(bookId, editionId, page, block.x, block.y + block.height * 0.45)
      return spreadOf((place && (await press.pageOf(bookId, trial, place.section, place.block))) ?? page)
    },
    [bookId, editionId, trial, tried, page, block],
  )
  const trouble = untried ?? unplaced

  const scale = room.width ? Math.min((room.width - 90) / (4 * leaves.width), (room.height - 152) / leaves.height) : 0
  const spread = (id: string, l: Leaves, v: number, at: number) => (
    <div className="spread">
      {[at, at + 1].map(p => (
        <div
          key={p - at}
          className={l.pages[p] ? 'page' : 'page none'}
          style={{ width: l.width * scale, height: l.height * scale }}
        >
          {l.pages[p] && (
            <PageCanvas
              bookId={bookId}
              editionId={id}
              index={p}
              version={v}
              width={l.width}
              height={l.height}
              scale={scale}
              label={`Page ${l.pages[p].label}`}
            />
          )}
        </div>
      ))}
    </div>
  )
  const sums = (f: StyleFigures | undefined) =>
    f && (
      <dl>
        <dt>Pages</dt>
        <dd>{f.pages}</dd>
        <dt>Spine</dt>
        <dd>{showLength(f.spinePt, 2)}</dd>
        <dt>Print</dt>
        <dd>{formatMoney(f.cost, figures?.currency ?? 'USD')}</dd>
      </dl>
    )
  const mine =
    figures?.pages !== undefined
      ? { pages: figures.pages, spinePt: figures.spinePt ?? 0, cost: figures.cost ?? 0 }
      : undefined
  return (
    <div className="compare" ref={stage} role="group" aria-label={`${name} and ${other.name} side by side`}>
      {scale > 0 && (
        <>
          <section>
            <h2>{name}</h2>
            {sums(mine)}
            {spread(editionId, leaves, version, left)}
            <p>
              <Button onClick={onLeave}>Stay with {name}</Button>
            </p>
          </section>
          <section>
            <h2>{other.name}</h2>
            {sums(tried?.figures)}
            {tried && there !== undefined ? (
              spread(trial, tried.leaves, tried.version, Math.min(there, spreadOf(tried.leaves.pages.length - 1)))
            ) : (
              <p className="waiting" role="status">
                {trouble ?? 'Setting the book in it …'}
              </p>
            )}
            <p>
              <Button type="primary" disabled={!tried || follows} onClick={onTake}>
                Set the book in {other.name}
              </Button>
            </p>
          </section>
        </>
      )}
    </div>
  )
}
