'use client'
import type { Dirt } from '@/core/intake'
import { ChoiceValue } from '@/parts/Sentence'
import { Places } from './Places'
import type { Deciding } from './useDecisions'

/** What dirt there is, a kind a sentence with examples: each is cleaned, or left. */
export function DirtSentences({
  dirt,
  deciding: { cleans, clean },
  onShow,
}: {
  dirt: readonly Dirt[]
  deciding: Deciding
  onShow: (place: string) => void
}) {
  return (
    <ul className="dropped">
      {dirt.map(d => (
        <li key={d.id}>
          <b>{d.count.toLocaleString('en')} ×</b> {d.what}:{' '}
          <ChoiceValue
            label={`What is done with ${d.what}`}
            value={cleans.has(d.id) ? 'clean' : 'leave'}
            choices={[
              { value: 'clean', words: d.does },
              { value: 'leave', words: 'left as they are' },
            ]}
            onChange={v => clean(d.id, v === 'clean')}
          />
          <Places of={d} onShow={onShow} />
        </li>
      ))}
    </ul>
  )
}
