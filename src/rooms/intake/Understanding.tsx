'use client'
import { Button } from 'antd'
import { type ReactNode, useEffect, useMemo, useRef, useState } from 'react'
import type { Book } from '@/core/book'
import { type Candidate, decided, type Decisions, type Dirt, sectionOfCandidate, tidied } from '@/core/intake'
import { isCommand, isTyping, useKeys } from '@/parts/useKeys'
import { useSay } from '@/parts/useSay'
import { LevelSentence } from './LevelSentence'
import { ProposedList } from './ProposedList'
import {
  decisionBy,
  hostOf,
  keyOf,
  type Proposal,
  proposed,
  type ProposedSection,
  shownBook,
  withCandidates,
} from './understanding'
import type { Deciding } from './useDecisions'

/** What was read, before anything was decided of it. */
export interface ReadText {
  book: Book
  candidates: readonly Candidate[]
  levels: Readonly<Record<string, number>>
  /** Kinds of dirt that the book has. */
  dirt: readonly Dirt[]
}

/** A reading with what was decided of it, and the proposal that is looked at. */
export interface Looked {
  deciding: Deciding
  /** The book as it would be. */
  decided: Book
  sections: ProposedSection[]
  proposals: Proposal[]
  at: number
  host: ProposedSection | undefined
  /** Whether weaker signs are shown, too. */
  weak: boolean
  /** Lines that may begin a section and do not. */
  left: number
  goTo: (key: string) => void
  unfold: () => void
  toggle: (i: number) => void
}

/** Looks through a reading by mouse and keys. `within`: which sections are looked at; `only`: the one that is cleaned. */
export function useLooking(
  { book: asTyped, candidates, dirt }: ReadText,
  deciding: Deciding,
  { only, within = EVERY }: { only?: string | undefined; within?: (p: ProposedSection) => boolean } = {},
): Looked {
  const { decisions, cleans } = deciding
  const book = useMemo(
    () => (dirt.length ? tidied(asTyped, cleans, only).book : asTyped),
    [asTyped, dirt, cleans, only],
  )
  const [key, goTo] = useState<string>()
  const [weak, setWeak] = useState(false)
  const say = useSay()
  const sections = useMemo(
    () =>
      proposed(
        shownBook(book, candidates, decisions),
        candidates,
        shownBook(book, candidates, takenOnly(decisions)),
      ).filter(within),
    [book, candidates, decisions, within],
  )
  const proposals = useMemo<Proposal[]>(
    () => (weak ? withCandidates(sections, candidates) : sections),
    [weak, sections, candidates],
  )
  const whole = useMemo(() => decided(book, candidates, decisions), [book, candidates, decisions])
  const at = Math.max(
    0,
    proposals.findIndex(p => keyOf(p) === key),
  )
  const decideBy = (name: string, i: number): void => {
    const p = proposals[i]
    const decision = p && decisionBy(name, p, decisions.get(keyOf(p)))
    if (!decision) return
    if (p.section && decision.runsOn && !p.strikable)
      return void say.note(
        p.section.made
          ? 'The book makes this page by itself: M lets it stand as it was typed.'
          : 'The first section of a part has nothing before it to run on in.',
      )
    deciding.decide(keyOf(p), decision)
    goTo(keyOf(p))
  }
  /** Weaker signs are shown, or folded away; what is looked at stays. */
  const unfold = (): void => {
    const host = hostOf(proposals, at, NOTHING)
    if (weak && host && !proposals[at]!.section) goTo(keyOf(host))
    setWeak(!weak)
  }
  useKeys(e => {
    if (isTyping(e)) return
    const name = e.key.toLowerCase()
    if (isCommand(e)) {
      if ((e.ctrlKey || e.metaKey) && name === 'z') {
        e.preventDefault()
        void (e.shiftKey ? deciding.redo() : deciding.undo())
      }
      return
    }
    const to = { ArrowDown: at + 1, ArrowUp: at - 1, Home: 0, End: proposals.length - 1 }[e.key]
    if (to !== undefined) {
      e.preventDefault()
      const p = proposals[Math.max(0, Math.min(proposals.length - 1, to))]
      if (p) goTo(keyOf(p))
    } else if (name === 'w') unfold()
    else decideBy(name, at)
  })
  return {
    deciding,
    decided: whole,
    sections,
    proposals,
    at,
    host: hostOf(proposals, at, decisions),
    weak,
    left: candidates.filter(c => !decisions.get(sectionOfCandidate(c))?.taken).length,
    goTo,
    unfold,
    toggle: i => decideBy('s', i),
  }
}

const EVERY = (): boolean => true
const NOTHING: Decisions = new Map()
const takenOnly = (decisions: Decisions): Decisions =>
  new Map([...decisions].flatMap(([id, { taken }]) => (taken ? [[id, { taken }] as const] : [])))

/** The list of what was read, with what it says of itself above it. */
export function Understanding({
  read,
  looked,
  teach,
  says,
}: {
  read: ReadText
  looked: Looked
  teach: ReactNode
  /** What the text says of its book. */
  says?: ReactNode
}) {
  const list = useRef<HTMLOListElement>(null)
  const { deciding, proposals, at, weak, left } = looked
  useEffect(() => {
    list.current?.querySelector('[aria-current]')?.scrollIntoView({ block: 'nearest' })
  }, [at])
  // The title of what is looked at, from the keyboard.
  useKeys(e => {
    if (isTyping(e) || isCommand(e) || e.key.toLowerCase() !== 'r') return
    const title = list.current?.querySelector<HTMLInputElement>('[aria-current] .is input[aria-label^="Title"]')
    if (!title) return
    e.preventDefault()
    title.select()
  })
  return (
    <section aria-label="Proposed sections">
      <p className="teach">{teach}</p>
      <p className="teach keys">
        <b>↑ ↓</b> walk through it, <b>S</b> strikes a section (it runs on, its title a heading), <b>L</b> makes its
        title a line like any other, <b>R</b> renames it, <b>P C F B</b> make it a part, a chapter, front or back
        matter, <b>M</b> lets the book make a typed page.
      </p>
      {says}
      <LevelSentence {...read} decisions={deciding.decisions} onDecide={deciding.replace} />
      {left > 0 && (
        <p className="teach">
          <Button type="link" size="small" aria-expanded={weak} onClick={looked.unfold}>
            {weak ? 'Fold' : 'Show'} {left === 1 ? 'one line' : `${left} lines`}
          </Button>{' '}
          that may begin a section, too (<b>W</b>).
        </p>
      )}
      <ProposedList
        proposals={proposals}
        decisions={deciding.decisions}
        at={at}
        ref={list}
        onAt={i => looked.goTo(keyOf(proposals[i]!))}
        onToggle={looked.toggle}
        onDecide={deciding.decide}
      />
    </section>
  )
}
