import { Button } from 'antd'
import { runName } from '@/core/activity'
import type { Run } from '@/core/book'
import type { OpenBook } from '@/parts/openBook'
import { useCommit } from '@/parts/useCommit'
import { useSay } from '@/parts/useSay'
import { press } from '@/workers/client'

/**
 * What keeps the plan from being drawn; or the runs that could not be made, those that other books have as well, and what would mend each
 * where that is known.
 */
export function RunTroubles({ bookId, view: { trouble, leaves, book } }: { bookId: string; view: OpenBook }) {
  const commit = useCommit(bookId)
  const say = useSay()
  if (trouble)
    return (
      <p className="waiting" role="alert">
        {trouble}
      </p>
    )
  const change = (label: string, id: string, next: (r: Run) => Partial<Run>): void =>
    void commit(label, r => ({
      plan: { ...r.plan!, runs: r.plan!.runs.map(x => (x.id === id ? { ...x, ...next(x) } : x)) },
    }))
  const takeOthers = async (run: Run): Promise<void> => {
    try {
      const seed = await press().freshSeed(bookId, run.id)
      if (seed === undefined)
        say.note('Others share as much: there are too few of this kind. Other values lead to more.')
      else change('Take others', run.id, () => ({ seed }))
    } catch (e) {
      say.failed(e)
    }
  }
  const runs = new Map(book?.plan?.runs.map(r => [r.id, r]))
  return (
    <>
      {leaves?.unmade.map(({ run: id, message, remedy }) => {
        const run = runs.get(id)
        return (
          run && (
            <p key={id} className="waiting" role="alert">
              {runName(run)}: {message}{' '}
              {remedy && (
                <Button
                  size="small"
                  onClick={() =>
                    change('Mend a run', id, r => ({ params: { ...r.params, ...remedy.values } }) as Partial<Run>)
                  }
                >
                  {remedy.says}
                </Button>
              )}
            </p>
          )
        )
      })}
      {leaves?.doubles.map(({ run: id, pages, title }) => {
        const run = runs.get(id)
        return (
          run && (
            <p key={id} className="waiting" role="status">
              {runName(run)}: {pages === 1 ? 'one of its pages stands' : `${pages} of its pages stand`} in “{title}” as
              well.{' '}
              <Button size="small" onClick={() => void takeOthers(run)}>
                Take others
              </Button>
            </p>
          )
        )
      })}
    </>
  )
}
