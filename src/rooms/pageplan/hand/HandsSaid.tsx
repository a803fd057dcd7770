'use client'
import { Button } from 'antd'
import { layOn, putBack } from '@/core/activity'
import type { HandPage, Run } from '@/core/book'
import { usePress } from '@/parts/usePress'
import { useSay } from '@/parts/useSay'
import { press } from '@/workers/client'
import type { PlannedPage } from '@/workers/answers/hands'
import type { ChangeRun } from '../planChanges'
import type { Hold } from './holding'

/** Pages of a run that the author changed by hand, and changes that wait because what their page was made from is gone. */
export function HandsSaid({
  bookId,
  editionId,
  version,
  run,
  open,
  onChange,
  onHold,
}: {
  bookId: string
  editionId: string
  version: number
  run: Run
  /** A page of the run that is open: what waits can be laid on it. */
  open: PlannedPage | undefined
  onChange: ChangeRun
  onHold: (hold: Hold) => void
}) {
  'use memo'
  const say = useSay()
  const { answer } = usePress(
    async client => (run.hand?.length ? client.handsOn(bookId, editionId, run.id) : undefined),
    [bookId, editionId, run.id, run.hand?.length],
    { anew: [version] },
  )
  // What the page is made from is asked for anew: the run may have been made anew since it was shown.
  const lay = async (h: HandPage, index: number): Promise<void> => {
    try {
      const [page] = await press().plannedPages(bookId, editionId, [index])
      if (page) await onChange('Lay changes on a page', r => layOn(r, h, page))
    } catch (e) {
      say.failed(e)
    }
  }
  if (!run.hand?.length || !answer) return null
  return (
    <>
      {answer.on.length > 0 && (
        <p>
          Changed by hand:{' '}
          {answer.on.map(({ page, label }) => (
            <Button key={page} size="small" type="link" onClick={() => onHold({ index: page })}>
              page {label}
            </Button>
          ))}
        </p>
      )}
      {answer.waiting.map(h => (
        <p key={`${h.page}/${h.of}`} role="alert">
          What you changed on the {ordinal(h.page + 1)} page waits:{' '}
          {h.of ? `“${h.of}” is gone from the run` : 'the run is shorter now'}.{' '}
          {open && (
            <Button size="small" type="link" onClick={() => void lay(h, open.index)}>
              Lay it on page {open.label}
            </Button>
          )}
          <Button
            size="small"
            type="link"
            onClick={() => void onChange('Forget changes of a page', r => putBack(r, h))}
          >
            Forget it
          </Button>
        </p>
      ))}
    </>
  )
}

function ordinal(n: number): string {
  const rest = n % 100
  const end = rest > 10 && rest < 14 ? 'th' : (['th', 'st', 'nd', 'rd'][n % 10] ?? 'th')
  return `${n}${end}`
}
