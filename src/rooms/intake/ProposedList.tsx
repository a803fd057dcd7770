import type { Ref } from 'react'
import type { Proposal, ProposedSection } from './understanding'

interface ListOf {
  at: number
  onAt: (i: number) => void
  onToggle: (i: number) => void
}

/** The proposed sections, each with its evidence, taken or struck; between them, where they are asked for, weaker signs of others. */
export function ProposedList({
  proposals,
  struck,
  ref,
  ...of
}: ListOf & { proposals: readonly Proposal[]; struck: ReadonlySet<string>; ref: Ref<HTMLOListElement> }) {
  return (
    <ol ref={ref}>
      {proposals.map((p, i) =>
        p.section ? (
          <SectionRow key={p.section.id} proposal={p} i={i} out={struck.has(p.section.id)} {...of} />
        ) : (
          <li key={p.candidate.block} className="weak" aria-current={i === of.at ? 'true' : undefined}>
            <button type="button" className="what" onClick={() => of.onAt(i)}>
              <span className="begins">{p.candidate.title || 'a line without words'}</span>
              <span className="why">{p.candidate.evidence.join(' · ')}</span>
            </button>
            <Decide words="Take" i={i} pressed={false} {...of} />
          </li>
        ),
      )}
    </ol>
  )
}

function SectionRow({ proposal: s, i, out, ...of }: ListOf & { proposal: ProposedSection; i: number; out: boolean }) {
  return (
    <li className={out ? 'struck' : undefined} aria-current={i === of.at ? 'true' : undefined}>
      <button type="button" className="what" onClick={() => of.onAt(i)}>
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
      <Decide words={out ? 'Take' : 'Strike'} i={i} pressed={out} disabled={!s.strikable && !s.candidate} {...of} />
    </li>
  )
}

function Decide({
  words,
  i,
  pressed,
  disabled,
  onAt,
  onToggle,
}: ListOf & { words: string; i: number; pressed: boolean; disabled?: boolean }) {
  return (
    <button
      type="button"
      className="strike"
      disabled={disabled}
      aria-pressed={pressed}
      onClick={() => {
        onAt(i)
        onToggle(i)
      }}
    >
      {words}
    </button>
  )
}
