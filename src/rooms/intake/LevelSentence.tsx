'use client'
import type { Book } from '@/core/book'
import { type Candidate, decideLevel, type Decisions, type LevelUse } from '@/core/intake'
import { ChoiceValue } from '@/parts/Sentence'
import { levelUse } from './levelUse'

const USES: { value: LevelUse; words: string }[] = [
  { value: 'part', words: 'parts' },
  { value: 'chapter', words: 'chapters' },
  { value: 'inside', words: 'headings inside' },
]

/** What the levels of the file's headings become, a level a value. */
export function LevelSentence({
  book,
  candidates,
  levels,
  decisions,
  onDecide,
}: {
  book: Book
  candidates: readonly Candidate[]
  levels: Readonly<Record<string, number>>
  decisions: Decisions
  onDecide: (decisions: Decisions) => void
}) {
  const of = { sections: book.sections, levels, candidates }
  const all = [...new Set([...Object.values(levels), ...candidates.flatMap(c => c.level ?? [])])]
    .sort((a, b) => a - b)
    .map(level => ({ level, ...levelUse(of, level, decisions) }))
    .filter(l => l.count)
  if (!all.length) return null
  return (
    <p className="said levels">
      {all.map(({ level, count, use }, i) => (
        <span key={level}>
          {i ? ', ' : 'Headings '}of level {level} ({count}) are{' '}
          <ChoiceValue
            label={`What headings of level ${level} are`}
            value={use}
            choices={USES}
            onChange={chosen => onDecide(decideLevel(of, level, chosen as LevelUse, decisions))}
          />
        </span>
      ))}
      .
    </p>
  )
}
