'use client'
import { App, Button } from 'antd'
import Link from 'next/link'
import { takeDown } from '@/data/removal'
import { saveAs } from './saveAs'
import { useSay } from './useSay'
import { useAnswer } from './useAnswer'

/** Loaded where it is wanted: most books are in order. */
const mending = () => import('@/data/mending')

/** A book that cannot be shown as it is: what is wrong, and the ways out. No other book is touched by it. */
export function BadBook({
  id,
  title,
  why,
  onMended,
  children,
}: {
  id: string
  title: string
  why?: string
  onMended: () => void
  children?: React.ReactNode
}) {
  // Where they cannot be looked into, what made the book bad is said alone.
  const { answer: troubles } = useAnswer(async () => (await mending()).storedTroubles(id), [id], { anew: [why] })
  const { modal } = App.useApp()
  const say = useSay()
  const mend = async (): Promise<void> => {
    const done = await (await mending()).mendStored(id)
    if (!done) return say.failed('There is nothing of a book left to mend. Save what is there, then take it down.')
    modal.info({
      title: `“${title}” was mended`,
      content: done.length ? (
        <ul>
          {done.slice(0, 12).map((t, i) => (
            <li key={i}>{t.sentence}</li>
          ))}
          {done.length > 12 && <li>and {done.length - 12} more</li>}
        </ul>
      ) : (
        'Nothing was found to be wrong in its record.'
      ),
    })
    onMended()
  }
  const said = troubles?.length ? troubles.map(t => t.sentence) : why ? [why] : []
  return (
    <div className="badbook" role="group" aria-label={`${title} cannot be shown`}>
      <p role="alert">
        <b>“{title}” cannot be shown as it is.</b> {said.slice(0, 3).join(' ')}
        {said.length > 3 && ` And ${said.length - 3} more.`}
      </p>
      <p className="ways">
        {!!troubles?.length && (
          <Button size="small" type="primary" onClick={() => void mend().catch(say.failed)}>
            Mend it
          </Button>
        )}
        <Button
          size="small"
          onClick={() =>
            void mending()
              .then(m => m.rawBook(id))
              .then(text => saveAs(text, `${id}.json`, 'application/json'), say.failed)
          }
        >
          Save what is there
        </Button>
        <Button size="small" type="text" onClick={() => void takeDown(id).then(onMended, say.failed)}>
          Take it down
        </Button>
        {children ?? (
          <Link prefetch={false} href="/porch">
            Back to the porch
          </Link>
        )}
      </p>
    </div>
  )
}
