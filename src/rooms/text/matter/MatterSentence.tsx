'use client'
import { Button } from 'antd'
import { derivedMatter, matterState, type Section } from '@/core/book'
import type { MatterActs } from './useMatter'

/** Where a section stands to what is kept for all books, and what can be done about it. */
export function MatterSentence({
  section,
  matter,
  readOnly,
}: {
  section: Section
  matter: MatterActs
  readOnly: boolean
}) {
  const kept = matter.kept.find(m => m.id === section.matter?.id)
  const state = matterState(section, kept)
  if (!kept || !state) return null
  const act = (words: string, onClick: () => void) => (
    <Button type="link" size="small" disabled={readOnly} onClick={onClick}>
      {words}
    </Button>
  )
  return (
    <p className="issaid" aria-label="Standing matter">
      Standing matter “<b>{kept.name}</b>”, {SAYS[state]}:{' '}
      {state === 'changed here' && (
        <>
          {!derivedMatter.has(kept.id) && <>{act('say this everywhere', () => matter.everywhere(section))}, </>}
          {act('take back what is kept', () => matter.take(section, kept))}, or{' '}
        </>
      )}
      {state === 'behind' && <>{act('take what is kept now', () => matter.take(section, kept))}, or </>}
      {act('make it this book’s own', () => matter.letOff(section))}.
    </p>
  )
}

const SAYS = { 'as kept': 'as it is kept', 'behind': 'as it was kept before', 'changed here': 'changed here' } as const
