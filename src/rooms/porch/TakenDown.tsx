'use client'
import { App, Button } from 'antd'
import { daysLeft, putBackUp, removeForGood, REST_DAYS } from '@/data/removal'
import { megabytes } from '@/parts/megabytes'
import { closeAtPress } from '@/workers/client'
import { useSay } from '@/parts/useSay'
import type { BookRecord } from '@/data/records'

/** Books that were taken down: each rests, whole, and can be put back until its days are over. */
export function TakenDown({ books }: { books: BookRecord[] }) {
  const { modal } = App.useApp()
  const say = useSay()
  if (!books.length) return null
  const back = (id: string, title: string): void =>
    void putBackUp(id).then(() => say.done(`“${title}” stands on the porch again.`), say.failed)
  const remove = (id: string, title: string): void =>
    void modal.confirm({
      title: `Remove “${title}” for good?`,
      okText: 'Remove it for good',
      cancelText: 'Let it rest',
      okButtonProps: { danger: true },
      content:
        'Its text, history, kept versions, listings and what was sent go, and so do pictures that no other book uses. Nothing brings them back but a backup.',
      onOk: async () => {
        await closeAtPress(id)
        const freed = await removeForGood(id)
        say.done(`“${title}” is gone. ${megabytes(freed.bytes)} of pictures and files were freed with it.`)
      },
    })
  return (
    <section aria-labelledby="taken-down" className="takendown">
      <div className="grouphead">
        <h2 id="taken-down">Taken down</h2>
        <span className="sort">each rests for {REST_DAYS} days and comes back whole</span>
        <span className="count">{books.length === 1 ? '1 book' : `${books.length} books`}</span>
      </div>
      <ul>
        {books.map(b => (
          <li key={b.id}>
            <h3>{b.data.title}</h3>
            <p>{daysLeft(b) === 1 ? 'one day left' : `${daysLeft(b)} days left`}</p>
            <Button
              size="small"
              aria-label={`Put ${b.data.title} back on the porch`}
              onClick={() => back(b.id, b.data.title)}
            >
              Put it back
            </Button>
            <Button
              size="small"
              type="text"
              aria-label={`Remove ${b.data.title} for good`}
              onClick={() => remove(b.id, b.data.title)}
            >
              Remove for good
            </Button>
          </li>
        ))}
      </ul>
    </section>
  )
}
