import { inlineText } from '../book'
import { type Proposal, TAKEN } from './headings'
import type { RawBlock } from './raw'

/** Decides which proposals begin sections. */
export function choose(blocks: RawBlock[], weighed: readonly Proposal[]): Proposal[] {
  const all = weighed.filter(p => p.score >= TAKEN)
  const styled = all.filter(p => p.level !== undefined)
  const proseBefore = (index: number): boolean =>
    blocks.slice(0, index).some(b => b.type === 'para' && b.level === undefined && inlineText(b.content).length > 200)
  let levels = [...new Set(styled.map(p => p.level!))].sort((a, b) => a - b)
  let dropped: Proposal | undefined
  const top = styled.filter(p => p.level === levels[0])
  // A single highest heading in front of everything is the book's title.
  if (
    levels.length > 1 &&
    top.length === 1 &&
    !proseBefore(top[0]!.index) &&
    !top[0]!.numbered &&
    top[0]!.role === 'chapter' &&
    styled[0] === top[0]
  ) {
    dropped = top[0]
    levels = levels.slice(1)
  }
  let chapterLevel = levels[0] ?? 9
  let partLevel = 0
  // Where the file itself says that the highest are chapters, what is below stands inside them.
  const saysChapters = styled.some(p => p.said && p.role === 'chapter' && p.level === chapterLevel)
  if (levels.length > 1 && !saysChapters) {
    const highest = styled.filter(p => p.level === chapterLevel && p !== dropped)
    const below = new Set(styled.filter(p => p.level === levels[1]).map(p => p.index))
    const leads = highest.filter(p => p.role === 'part' || below.has(p.index + 1)).length
    if (
      highest.some(p => p.role === 'part') ||
      (leads > highest.length / 2 && highest.length > 1 && highest.every(p => !p.bare))
    ) {
      partLevel = chapterLevel
      chapterLevel = levels[1]!
    }
  }
  const enough = styled.filter(p => p.level !== undefined && p.level <= chapterLevel && p !== dropped).length >= 2
  const chosen = all.filter(p => {
    if (p === dropped) return false
    if (p.said) return true
    if (p.level !== undefined)
      return p.level <= chapterLevel || (p.numbered && p.evidence.some(e => e.startsWith('the word')))
    // Beside real headings, unstyled lines need the word itself.
    return !enough || p.evidence.some(e => e.startsWith('the word'))
  })
  // Two proposals running are a number and its title: the first takes the second in.
  const out: Proposal[] = []
  for (const p of chosen) {
    const last = out[out.length - 1]
    if (last && p.index === last.index + 1 && last.bare && !p.numbered && p.role === 'chapter') continue
    out.push(p.level !== undefined && p.level === partLevel && p.role === 'chapter' ? { ...p, role: 'part' } : p)
  }
  return dropped || out.length || !all.length ? out.map(p => p) : all
}
