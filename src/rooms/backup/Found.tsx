'use client'
import { Button } from 'antd'
import type { Library } from '@/core/archive'
import type { Choice, compareLibrary } from '@/data/backup'
import { Comparison, firstChoice } from './Comparison'

/** A backup that was read: what it holds, and how that stands to what is here. */
export interface FoundBackup {
  name: string
  library: Library
  says: Awaited<ReturnType<typeof compareLibrary>>
}

/** What a backup would do, before it does it: each book with the choice what becomes of it. */
export function Found({
  found,
  choices,
  onChoose,
  onRestore,
  onLeave,
}: {
  found: FoundBackup
  choices: Record<string, Choice>
  onChoose: (id: string, choice: Choice) => void
  onRestore: () => void
  onLeave: () => void
}) {
  return (
    <div className="found" role="group" aria-label="What the backup holds">
      <h3>{found.name}</h3>
      <ul className="sides">
        {found.says.books.map(b => (
          <Comparison key={b.id} book={b} choice={choices[b.id] ?? firstChoice(b)} onChoose={c => onChoose(b.id, c)} />
        ))}
      </ul>
      {found.library.unreadable?.map(u => (
        <p key={u.id} className="unreadable" role="alert">
          <b>{u.id}</b> is in the backup and cannot be read; it is left out. {u.why}
        </p>
      ))}
      {found.says.others.length > 0 && (
        <p className="teach">Not in the backup, and left as they are: {found.says.others.join(', ')}.</p>
      )}
      <p>
        <Button type="primary" onClick={onRestore}>
          Put it back
        </Button>{' '}
        <Button type="text" onClick={onLeave}>
          Leave it
        </Button>
      </p>
    </div>
  )
}
