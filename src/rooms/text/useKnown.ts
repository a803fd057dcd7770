'use client'
import { useEffect, useMemo } from 'react'
import { type Book, linkTargets, signHabits } from '@/core/book'
import type { OpenBook } from '@/parts/openBook'
import { valueSaid } from '@/parts/valueNames'
import type { BlockFinding } from './galley/marginItems'
import type { Known } from './galley/known'
import type { EarlyTurns } from './galley/useEarlyTurns'

/** What the galley says itself, at once, of what is being written. */
const SAID_THERE = new Set([...signHabits.map(h => `typed ${h.id}`), 'links inside the book'])

/** What the margins of a section know of its book: pages, findings, and what links may lead to. */
export function useKnown(
  book: Book,
  view: OpenBook,
  section: string | undefined,
  { turns: { look, seen }, doubts, onDoubt }: { turns: EarlyTurns } & Pick<Known, 'doubts' | 'onDoubt'>,
): Known {
  const { version, figures, edition } = view
  const places = useMemo(() => linkTargets(book.sections), [book.sections])
  const findings = figures?.findings
  const own = section === undefined ? undefined : edition?.exceptions?.[section]
  const printed = edition && edition.kind !== 'ebook'
  useEffect(() => look(printed ? section : undefined), [look, printed, section])
  return useMemo(() => {
    const pages = new Map<string, string>()
    const blocks: BlockFinding[] = []
    for (const { place, message, rule } of findings ?? []) {
      if (place.kind === 'page') pages.set(place.label, [pages.get(place.label), message].filter(Boolean).join(' '))
      if (place.kind === 'text' && place.section === section && !SAID_THERE.has(rule))
        blocks.push({ block: place.block, words: message })
    }
    return {
      bookId: book.id,
      language: book.data.language,
      editionId: edition && edition.kind !== 'ebook' && figures?.pages !== undefined ? edition.id : undefined,
      section: section ?? '',
      version,
      count: figures?.pages,
      early: seen,
      exceptions: own ? Object.entries(own).map(([path, v]) => ({ path, words: valueSaid(path, v) })) : [],
      pages,
      blocks,
      doubts,
      onDoubt,
      // What stands in the section itself is seen as it is written.
      isThere: id => {
        const to = places.get(id)
        return !!to && (to.section !== section || !to.block)
      },
    }
  }, [
    book.id,
    book.data.language,
    edition,
    figures?.pages,
    findings,
    places,
    section,
    seen,
    version,
    own,
    doubts,
    onDoubt,
  ])
}
