import { type MarkPlace, type PageMarks, visitPage } from '../marks'
import { lendersOf } from '../pages'
import type { Face } from '../type'
import { bindingRules, formatLength, insideMargin, printRules, pts, roundPages, specProblems } from '../trade'
import { missing } from './missing'
import type { Finding } from './finding'
import type { RemedyCode } from './remedies'
import type { Subject } from './subject'

/** Rules over the pages of an interior: marks are read as they will print. */
export type Rule = (s: Subject) => Finding[]

/** One finding a page and rule is enough: the worst. */
interface Worst {
  amount: number
  place?: MarkPlace
}

const pagePlace = (page: PageMarks, index: number, place?: MarkPlace): Finding['place'] => ({
  kind: 'page',
  page: index,
  label: page.label,
  ...(place?.section ? { section: place.section, block: place.block } : {}),
})

/** Calls `visit` with the box of every run of glyphs and every picture of a page: x0, y0, x1, y1 from the trim's top left. */
export function eachInk(
  page: PageMarks,
  visit: (x0: number, y0: number, x1: number, y1: number, place: MarkPlace | undefined) => void,
): void {
  visitPage(page, v => {
    if ('text' in v) {
      const t = v.text
      for (let i = 0; i < t.count; i++) {
        const from = t.start[i]!
        const to = t.start[i + 1]!
        if (to === from) continue
        const face = t.faces[t.face[i]!]! as Face
        const size = t.size[i]!
        const y = v.y + t.baseline[i]!
        const last = t.glyphs[to - 1]!
        const width = (face.advance(face.pairGlyph(last)) / face.unitsPerEm) * size * t.stretch[i]!
        visit(
          v.x + t.x[from]!,
          y - face.metrics.capHeight * size,
          v.x + t.x[to - 1]! + width,
          y + 0.2 * size,
          t.places[t.place[i]!],
        )
      }
      // A plate is cut by the trim on purpose.
    } else if (v.item.kind === 'image' && v.role !== 'plate')
      visit(v.x + v.item.x, v.y + v.item.y, v.x + v.item.x + v.item.width, v.y + v.item.y + v.item.height, v.item.place)
  })
}

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
  const play = pts(printRules(s.profile).play.silent)
  const out: Finding[] = []
  interior.pages.forEach((page, index) => {
    const worst: Worst = { amount: 0 }
    eachInk(page, (x0, _y0, x1, _y1, place) => {
      const room = page.side === 'recto' ? x0 : page.width - x1
      // Hanging punctuation may lean into the margin by less than the press's own remark.
      if (asked - room > worst.amount) Object.assign(worst, { amount: asked - room, place })
    })
    if (worst.amount > Math.max(play, HANG))
      out.push({
        rule: 'inside margin',
        severity: 'stop',
        place: pagePlace(page, index, worst.place),
        amount: formatLength(worst.amount, 'in'),
        message: `Text stands ${formatLength(worst.amount, 'in')} inside the gutter that ${s.profile.name} asks for at ${pages} pages.`,
        remedy: 'widen the inside margin',
      })
  })
  return out
}

/** Punctuation that hangs in the margin: at most this, points. */
const HANG = 3.2

/** Nothing that means something stands outside the safe zone. */
export const safeZone: Rule = s => {
  if (!s.print) return []
  const rules = printRules(s.profile)
  const safe = pts(rules.safe)
  const play = pts(rules.play.silent)
  const out: Finding[] = []
  s.print.interior.pages.forEach((page, index) => {
    const worst: Worst = { amount: 0 }
    eachInk(page, (x0, y0, x1, y1, place) => {
      const outer = page.side === 'recto' ? page.width - x1 : x0
      const off = safe - Math.min(outer, y0, page.height - y1)
      if (off > worst.amount) Object.assign(worst, { amount: off, place })
    })
    if (worst.amount > play)
      out.push({
        rule: 'safe zone',
        severity: worst.amount > pts(rules.play.remark) ? 'stop' : 'remark',
        place: pagePlace(page, index, worst.place),
        amount: formatLength(worst.amount, 'in'),
        message: `Something stands ${formatLength(worst.amount, 'in')} too near the edge: it may be trimmed.`,
        remedy: 'widen the margins',
      })
  })
  return out
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
      const ppi = Math.min(asset.width / (v.item.width / 72), asset.height / (v.item.height / 72))
      if (ppi >= 299) return
      out.push({
        rule: 'resolution',
        severity: ppi < least ? 'stop' : 'remark',
        place: pagePlace(page, index, v.item.place),
        amount: `${Math.floor(ppi)} ppi`,
        message: `A picture has ${Math.floor(ppi)} pixels an inch as printed; 300 are asked, under ${least} shows.`,
        remedy: 'enlarge the original',
      })
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
