import { type MarkPlace, type PageMarks, visitPage } from '../marks'
import { eachInk, type Ink, runsOff } from './ink'
import { coarse } from './coarse'
import { byPlay } from './play'
import { type Interior, lendersOf, printedPpi } from '../pages'
import { bindingRules, formatLength, insideMargin, printRules, pts, roundPages, specProblems } from '../trade'
import { missing } from './missing'
import type { Finding } from './finding'
import type { RemedyCode } from './remedies'
import type { Subject } from './subject'

/** Rules over the pages of an interior: marks are read as they will print. */
export type Rule = (s: Subject) => Finding[]

const pagePlace = (page: PageMarks, index: number, place?: MarkPlace): Finding['place'] => ({
  kind: 'page',
  page: index,
  label: page.label,
  ...(place?.section ? { section: place.section, block: place.block } : {}),
})

/** Trim, paper, ink and the number of pages are what the outlet prints. */
export const specification: Rule = s => {
  if (!s.print) return []
  const { spec, interior, finish } = s.print
  return specProblems(s.profile, spec, { pages: interior.pages.length, finish }).map(({ what, message }) => ({
    rule: 'specification',
    severity: 'stop',
    place: { kind: 'edition' },
    message,
    remedy: what === 'pages' ? 'change the page count' : 'choose what is printed',
  }))
}

/** The inside margin is as wide as the outlet asks at this page count. */
export const inside: Rule = s => {
  if (!s.print) return []
  const { interior, spec } = s.print
  const pages = roundPages(interior.pages.length, bindingRules(s.profile, spec.binding).pageMultiple)
  const asked = insideMargin(s.profile, spec.binding, pages)
  return worstOf(s, interior, (ink, page) => {
    // Punctuation hangs in the margin on purpose, and no farther than it may.
    const room = page.side === 'recto' ? ink.x0 + ink.hangs.left : page.width - ink.x1 + ink.hangs.right
    return room <= 0 && runsOff(ink, page) ? 0 : asked - room
  }).map(({ severity, place, amount }) => ({
    rule: 'inside margin',
    severity,
    place,
    amount,
    message: `Something stands ${amount} inside the gutter that ${s.profile.name} asks for at ${pages} pages.`,
    remedy: 'widen the inside margin',
  }))
}

/** Nothing that means something stands outside the safe zone; where an interior has bleed, it is the one for bleed. */
export const safeZone: Rule = s => {
  if (!s.print) return []
  const { interior } = s.print
  const rules = printRules(s.profile)
  const safe = pts(interior.pages.some(p => hasBleed(p.bleed)) ? rules.safeWithBleed : rules.safe)
  return worstOf(s, interior, (ink, page) => {
    const outer = page.side === 'recto' ? page.width - ink.x1 + ink.hangs.right : ink.x0 + ink.hangs.left
    const rooms = [outer, ink.y0, page.height - ink.y1]
    const meant = runsOff(ink, page)
    return safe - Math.min(safe, ...rooms.filter(r => !(meant && r <= 0)))
  }).map(({ severity, place, amount }) => ({
    rule: 'safe zone',
    severity,
    place,
    amount,
    message: `Something stands ${amount} too near the edge: it may be trimmed.`,
    remedy: 'widen the margins',
  }))
}

const hasBleed = (b: PageMarks['bleed']): boolean => b.top + b.right + b.bottom + b.left > 0

/** On each page the ink that is farthest off, as far as the press's play does not excuse it. `off`: how far, points. */
function worstOf(
  s: Subject,
  interior: Interior,
  off: (ink: Ink, page: PageMarks) => number,
): { severity: Finding['severity']; place: Finding['place']; amount: string }[] {
  return interior.pages.flatMap((page, index) => {
    let [most, at]: [number, MarkPlace | undefined] = [0, undefined]
    eachInk(page, ink => {
      const by = off(ink, page)
      if (by > most) [most, at] = [by, ink.place]
    })
    const severity = byPlay(s.profile, most)
    return severity ? [{ severity, place: pagePlace(page, index, at), amount: formatLength(most, 'in') }] : []
  })
}

/** Every character has a glyph. */
export const missingGlyphs: Rule = s =>
  (s.print?.interior.missing ?? []).map(m => missing(m.text, { kind: 'text', section: m.section, block: m.block }))

/** Every character comes from the typeface; of what another one lends, one finding a section. */
export const borrowedGlyphs: Rule = s => {
  const borrowed = s.print?.interior.borrowed ?? []
  return [...new Set(borrowed.map(b => b.section))].flatMap(section =>
    lendersOf(borrowed.filter(b => b.section === section)).map(({ from, characters }) => {
      const { block } = borrowed.find(b => b.section === section && b.from === from)!
      return {
        rule: 'borrowed character',
        severity: 'remark' as const,
        place: { kind: 'text' as const, section, block },
        amount: `${characters.length}`,
        message: `The typeface lacks ${quoted(characters)}: ${from} lends ${characters.length === 1 ? 'it' : 'them'}.`,
        remedy: 'look at the letters',
      }
    }),
  )
}

const quoted = (characters: string[]): string =>
  `“${characters.slice(0, 12).join('')}”${characters.length > 12 ? ` and ${characters.length - 12} more` : ''}`

/** Pictures have pixels enough for their printed size. */
export const resolution: Rule = s => {
  if (!s.print) return []
  const least = printRules(s.profile).leastPpi
  const sizes = new Map(s.book.assets.map(a => [a.id, a]))
  const out: Finding[] = []
  s.print.interior.pages.forEach((page, index) => {
    visitPage(page, v => {
      if (!('item' in v) || v.item.kind !== 'image') return
      const asset = sizes.get(v.item.asset)
      if (!asset) return
      const found = coarse(printedPpi(asset, v.item), least)
      if (found) out.push({ rule: 'resolution', place: pagePlace(page, index, v.item.place), ...found })
    })
  })
  return out
}

/** No line runs past its measure. */
export const overfull: Rule = s => {
  const n = s.print?.interior.stats.over ?? 0
  return n
    ? [
        {
          rule: 'overfull line',
          severity: 'mend',
          place: { kind: 'edition' },
          amount: `${n} lines`,
          message: `${n} ${n === 1 ? 'line runs' : 'lines run'} past the margin.`,
          remedy: 'allow hyphenation',
        },
      ]
    : []
}

/** What pagination could not avoid. */
export const pageEnds: Rule = s => {
  if (!s.print) return []
  const u = s.print.interior.stats.unmet
  const out: Finding[] = []
  const say = (n: number, what: string, remedy: RemedyCode): void => {
    if (n)
      out.push({
        rule: 'page ends',
        severity: 'mend',
        place: { kind: 'edition' },
        amount: String(n),
        message: `${n} ${what}`,
        remedy,
      })
  }
  say(
    u.widows,
    u.widows === 1
      ? 'paragraph is parted with a single line left alone.'
      : 'paragraphs are parted with a single line left alone.',
    'change a paragraph or the leading',
  )
  say(
    u.strandedHeads,
    u.strandedHeads === 1 ? 'heading stands at a page’s foot.' : 'headings stand at a page’s foot.',
    'change a paragraph',
  )
  return out
}

/** No run of empty pages that the author did not mean. */
export const blanks: Rule = s => {
  if (!s.print) return []
  const { pages } = s.print.interior
  // What fills the last sheet up to the printer's fold is meant.
  const printed = pages.findLastIndex(p => p.layers.length) + 1
  const meant = pages.length - printed < bindingRules(s.profile, s.print.spec.binding).pageMultiple
  let run = 0
  for (let i = 0; i < (meant ? printed : pages.length); i++) {
    run = pages[i]!.layers.length ? 0 : run + 1
    if (run === 3)
      return [
        {
          rule: 'blank pages',
          severity: 'mend',
          place: pagePlace(pages[i]!, i),
          amount: 'three running',
          message: 'Three or more pages running are empty: printers take that for a fault.',
          remedy: 'remove empty pages',
        },
      ]
  }
  return []
}
