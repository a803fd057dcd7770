import type { Ref } from 'react'
import { roles, type Section } from '@/core/book'
import type { Decision, Decisions } from '@/core/intake'
import { SectionKind } from '@/parts/SectionKind'
import { ChoiceValue } from '@/parts/Sentence'
import { TextValue } from '@/parts/TextValue'
import type { TextField } from '@/parts/useTaken'
import { keyOf, type Proposal, type ProposedSection } from './understanding'

interface ListOf {
  at: number
  onAt: (i: number) => void
  onToggle: (i: number) => void
  onDecide: (id: string, decision: Decision) => void
}

/** The proposed sections, each with its evidence, taken or struck; between them, where they are asked for, weaker signs of others. */
export function ProposedList({
  proposals,
  decisions,
  ref,
  ...of
}: ListOf & { proposals: readonly Proposal[]; decisions: Decisions; ref: Ref<HTMLOListElement> }) {
  return (
    <ol ref={ref}>
      {proposals.map((p, i) =>
        p.section ? (
          <SectionRow key={keyOf(p)} proposal={p} i={i} decision={decisions.get(p.section.id) ?? NONE} {...of} />
        ) : (
          <li key={keyOf(p)} className="weak" aria-current={i === of.at ? 'true' : undefined}>
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

const NONE: Decision = {}

function SectionRow({
  proposal: s,
  i,
  decision,
  ...of
}: ListOf & { proposal: ProposedSection; i: number; decision: Decision }) {
  const { section } = s
  const here = i === of.at
  const struck = !!decision.runsOn
  return (
    <li className={struck ? 'struck' : undefined} aria-current={here ? 'true' : undefined}>
      <div className="what">
        <button type="button" className="what" onClick={() => of.onAt(i)}>
          <span className="head">
            <b>{s.name}</b>{' '}
            <em>
              {s.name === s.role ? section.part : s.role.toLowerCase()} ·{' '}
              {section.made ? 'the book makes its own; typed:' : `${s.words.toLocaleString('en')} words`}
              {struck && decision.runsOn === 'heading' && ' · runs on, a heading'}
              {struck && decision.runsOn === 'line' && ' · runs on, a line'}
            </em>
          </span>
          <span className="begins">
            {s.begins || 'nothing in it yet'}
            {s.begins.length === 150 ? ' …' : ''}
          </span>
          {!!section.evidence?.length && <span className="why">{section.evidence.join(' · ')}</span>}
        </button>
        {here && !struck && <Is section={section} onDecide={d => of.onDecide(section.id, { ...decision, ...d })} />}
      </div>
      <Decide
        words={struck ? 'Take' : 'Strike'}
        i={i}
        pressed={struck}
        disabled={!s.strikable && !s.candidate}
        {...of}
      />
    </li>
  )
}

/** What the section looked at is and is called: each a value. */
function Is({ section, onDecide }: { section: Section; onDecide: (decision: Decision) => void }) {
  return (
    <p className="is">
      {roles[section.role].made ? (
        <>
          {roles[section.role].name},{' '}
          <ChoiceValue
            label="Whether the book makes it"
            value={section.made ? 'made' : 'typed'}
            choices={MADE}
            onChange={v => onDecide({ made: v === 'made' })}
          />
        </>
      ) : (
        <Kind section={section} onDecide={onDecide} />
      )}
    </p>
  )
}

const MADE = [
  { value: 'made', words: 'made from the book’s data' },
  { value: 'typed', words: 'as it was typed' },
] as const

function Kind({ section, onDecide }: { section: Section; onDecide: (decision: Decision) => void }) {
  return (
    <>
      <SectionKind
        section={section}
        onRole={role => onDecide({ role })}
        onNumbered={numbered => onDecide({ numbered })}
      />
      , called{' '}
      <TextValue
        key={section.id}
        field={titleField}
        value={section.title || undefined}
        empty="nothing"
        onTake={title => {
          onDecide({ title: title ?? '' })
          return undefined
        }}
      />
    </>
  )
}

const titleField: TextField<string> = {
  label: 'Title of the section',
  problem: text => (text.length > 300 ? 'A title has 300 letters at most.' : undefined),
  read: text => text.trim() || undefined,
  show: value => value ?? '',
}

function Decide({
  words,
  i,
  pressed,
  disabled,
  onAt,
  onToggle,
}: Pick<ListOf, 'onAt' | 'onToggle'> & { words: string; i: number; pressed: boolean; disabled?: boolean }) {
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
