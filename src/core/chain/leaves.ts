import type { Double } from '../activity'
import { labels, shortName } from '../book'
import { type InteriorStyle, lendersOf, type Lent, type Unmade, type UnmetAt } from '../pages'
import { bindingRules, insideMargin, printRules, pts, roundPages } from '../trade'
import type { Graph } from './graph'
import type { PrintChain } from './printChain'

/** A page as a view knows it before it is painted. */
export interface Leaf {
  label: string
  blank: boolean
  /** Title and id of the section that opens here. */
  opens?: string
  section?: string
  /** How much text stands on it: runs of glyphs. */
  runs: number
}

/** What a view of the pages needs to know before it paints any. Lengths in points. */
export interface Leaves {
  width: number
  height: number
  style: InteriorStyle
  /** Sections that have pages. */
  starts: string[]
  pages: Leaf[]
  /** The text block on a recto, and the outlet's safe zone from the trim. */
  block: { x: number; y: number; width: number; height: number }
  outside: number
  safe: number
  /** Wishes that could not be met, and what the typeface lacks. */
  unmetAt: UnmetAt[]
  lent: Lent[]
  /** Characters that other families lend, by family. */
  borrowed: { from: string; characters: string[] }[]
  /** Runs that could not be made, and why. */
  unmade: Unmade[]
  /** Runs that have something in common with other books. */
  doubles: Double[]
  /** The least inside margin that the outlet asks at this count. */
  insideAsked: number
}

/** What follows of the pages of an edition for those who look at them. */
export async function leavesOf(chain: Graph<PrintChain>): Promise<Leaves> {
  const [interior, text, profile, spec] = [
    await chain.get('interior'),
    await chain.get('text'),
    await chain.get('profile'),
    await chain.get('spec'),
  ]
  const { block } = interior
  const { width, height } = interior.spec
  const names = labels(text.sections, text.data.language)
  const named = (id: string): string =>
    names.has(id)
      ? shortName(names.get(id)!)
      : (text.plan?.runs.find(r => `run:${r.id}` === id)?.heading?.words ?? 'a run')
  const opens = new Map([...interior.starts].map(([id, page]) => [page, { opens: named(id), section: id }]))
  const counted = roundPages(interior.pages.length, bindingRules(profile, spec.binding).pageMultiple)
  return {
    width,
    height,
    style: interior.style,
    starts: [...interior.starts.keys()],
    block,
    outside: text.plan ? width - block.x - block.width : interior.outside,
    safe: pts(printRules(profile).safe),
    unmetAt: interior.unmetAt,
    lent: interior.lent,
    unmade: interior.unmade,
    doubles: await chain.get('doubles'),
    borrowed: lendersOf(interior.borrowed),
    insideAsked: insideMargin(profile, spec.binding, counted),
    pages: interior.pages.map((p, i) => ({
      label: p.label,
      blank: !p.layers.length,
      runs: p.layers.reduce((n, l) => n + (l.layer.text?.count ?? 0), 0),
      ...opens.get(i),
    })),
  }
}
