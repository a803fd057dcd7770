import type { Ref } from 'react'
import type { ProposedSection } from './understanding'

/** The proposed sections, each with its evidence, taken or struck. */
export function ProposedList({
  sections,
  struck,
  at,
  ref,
  onAt,
  onToggle,
}: {
  sections: readonly ProposedSection[]
  struck: ReadonlySet<string>
  at: number
  ref: Ref<HTMLOListElement>
  onAt: (i: number) => void
  onToggle: (i: number) => void
}) {
  return (
    <ol ref={ref}>
      {sections.map((s, i) => {
        const out = struck.has(s.section.id)
        return (
          <li key={s.section.id} className={out ? 'struck' : undefined} aria-current={i === at ? 'true' : undefined}>
            <button type="button" className="what" onClick={() => onAt(i)}>
              <span className="head">
                <b>{s.name}</b>{' '}
                <em>
                  {s.name === s.role ? s.section.part : s.role.toLowerCase()} · {s.words.toLocaleString('en')} words
                </em>
              </span>
              <span className="begins">
                {s.begins || 'nothing in it yet'}
                {s.begins.length === 150 ? ' …' : ''}
              </span>
              {!!s.section.evidence?.length && <span className="why">{s.section.evidence.join(' · ')}</span>}
            </button>
            <button
              type="button"
              className="strike"
              disabled={!s.strikable}
              aria-pressed={out}
              onClick={() => {
                onAt(i)
                onToggle(i)
              }}
            >
              {out ? 'Take' : 'Strike'}
            </button>
          </li>
        )
      })}
    </ol>
  )
}
