import { plannedPages } from '../activity'
import type { Book } from '../book'
import { check, type Finding } from '../check'
import { type Cover, type CoverDesign, drawCover, type Flat, flatFor, sheetSize } from '../cover'
import { printMoney, type PrintMoney } from '../outlets'
import { type Interior, type InteriorStyle, type Setter, settleInterior, type StyleChanges, withPlan } from '../pages'
import {
  bindingRules,
  Cancelled,
  insideMargin,
  type OutletProfile,
  parseTrim,
  Fault,
  printRules,
  type PrintSpec,
  pts,
  roundPages,
  spineThickness,
  type Ticker,
} from '../trade'
import type { FontShelf } from '../type'
import { createGraph, type Graph } from './graph'

/** Everything that follows from one print edition at one outlet: the product's chain. */
export interface PrintChain {
  // Inputs.
  book: Book
  style: InteriorStyle
  profile: OutletProfile
  /** Other printers that the same interior goes to: it is made to the strictest of their rules. */
  others: OutletProfile[]
  spec: PrintSpec
  isbn: string | undefined
  price: number | undefined
  design: CoverDesign
  /** Pages that the cover was last fitted to; where absent it follows the interior. */
  coverPages: number | undefined
  /** Departures from the style at single sections. */
  exceptions: Record<string, StyleChanges> | undefined
  // What follows.
  interior: Interior
  /** Pages as printed, the outlet's blanks included. */
  pages: number
  /** Points. */
  spine: number
  flat: Flat
  /** Size of the wrap with its bleed, points. */
  wrap: { width: number; height: number }
  cover: Cover
  money: PrintMoney
  findings: Finding[]
}

export type PrintInputs = Pick<
  PrintChain,
  'book' | 'style' | 'profile' | 'others' | 'spec' | 'isbn' | 'price' | 'design' | 'coverPages' | 'exceptions'
>

/** The bleed that serves all printers of an interior: the widest, on as many edges as any asks. */
function bleedOf(printers: OutletProfile[]): { bleed: number; bleedsInside: boolean } {
  const rules = printers.map(printRules)
  return { bleed: Math.max(0, ...rules.map(r => pts(r.bleed))), bleedsInside: rules.some(r => r.bleedEdges === 4) }
}

/** The graph for an edition at an outlet. `setter` and `shelf` are shared, so that what is set once serves all outlets; `ticker` hears of the setting. */
export function printChain(inputs: PrintInputs, setter: Setter, shelf: FontShelf, ticker?: Ticker): Graph<PrintChain> {
  return createGraph<PrintChain>(inputs, {
    interior: async (get, wanted) => {
      const [book, style, profile, spec, isbn] = [
        await get('book'),
        await get('style'),
        await get('profile'),
        await get('spec'),
        await get('isbn'),
      ]
      // Setting a long book stops as soon as what it is set from has changed; sections that are set stay set.
      const still: Ticker = async p => {
        await ticker?.(p)
        if (!wanted()) throw new Cancelled()
      }
      const trim = parseTrim(spec.trim)
      if (!trim) throw new Fault('no-trim', `“${spec.trim}” is no trim.`)
      const printers = [profile, ...(await get('others'))].filter(p =>
        p.print?.bindings.some(b => b.kind === spec.binding),
      )
      const planned = book.plan ? plannedPages(book.plan) : 0
      const asked = (pages: number): number =>
        Math.max(
          ...printers.map(p =>
            insideMargin(p, spec.binding, roundPages(pages + planned, bindingRules(p, spec.binding).pageMultiple)),
          ),
        )
      const interior = await settleInterior(
        setter,
        book,
        style,
        { width: trim.width, height: trim.height, ...bleedOf(printers), isbn, exceptions: await get('exceptions') },
        asked,
        still,
      )
      return book.plan
        ? withPlan(
            interior,
            book,
            book.plan,
            asked(interior.pages.length),
            Math.max(...printers.map(p => pts(printRules(p).safe))),
            shelf,
          )
        : interior
    },
    pages: async get =>
      roundPages(
        (await get('interior')).pages.length,
        bindingRules(await get('profile'), (await get('spec')).binding).pageMultiple,
      ),
    spine: async get => spineThickness(await get('profile'), await get('spec'), await get('pages')),
    flat: async get => flatFor(await get('profile'), { ...(await get('spec')), pages: await get('pages') }),
    wrap: async get => sheetSize(await get('flat')),
    cover: async get =>
      drawCover(
        (await get('coverPages')) === undefined
          ? await get('flat')
          : flatFor(await get('profile'), { ...(await get('spec')), pages: (await get('coverPages'))! }),
        await get('design'),
        (await get('book')).data,
        await get('isbn'),
        shelf,
        (await get('book')).assets,
      ),
    money: async get => printMoney(await get('profile'), await get('spec'), await get('pages'), await get('price')),
    findings: async get => {
      const money = await get('money')
      return check({
        book: await get('book'),
        profile: await get('profile'),
        print: {
          spec: await get('spec'),
          interior: await get('interior'),
          cover: await get('cover'),
          isbn: await get('isbn'),
          price: await get('price'),
          leastPrice: money.leastPrice,
        },
      })
    },
  })
}
