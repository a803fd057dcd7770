import { type Double, doublesAmong, type OtherBooks } from '../activity'
import type { Edition, Wrap } from '../book'
import { check, type Finding } from '../check'
import {
  type Cover,
  type CoverGround,
  drawCover,
  type Examined,
  type Flat,
  flatFor,
  type ListPrice,
  sheetSize,
} from '../cover'
import { examineElsewhere, frontPicture, type PaintedPage, printSnapshot, type Worked, workedPrint } from '../delivery'
import type { PageMarks } from '../marks'
import { type ListingSnapshot, printMoney, type PrintMoney } from '../outlets'
import {
  filledUp,
  type Interior,
  type InteriorStyle,
  pagesInAll,
  settleInterior,
  type StyleChanges,
  withPlan,
} from '../pages'
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
import { createGraph, type Derive, type Graph } from './graph'
import { type SharedInputs, statedInputs, type Tools } from './inputs'

/** What a print edition at an outlet starts from. */
export interface PrintInputs extends SharedInputs {
  style: InteriorStyle
  /** Other printers that the same interior goes to: it is made to the strictest of their rules. */
  others: OutletProfile[]
  spec: PrintSpec
  /** The same as the edition states it, gaps and all: part of what a fingerprint is made from. */
  stated: Pick<Edition, 'trim' | 'paper' | 'ink' | 'barcode' | 'wrap'>
  /** The cover's surface. */
  finish: string | undefined
  /** How the author wants the barcode. */
  barcode: Edition['barcode']
  /** Its cover, where it was made elsewhere. */
  ownWrap: Wrap | undefined
  /** Pages that the cover was last fitted to; where absent it follows the interior. */
  coverPages: number | undefined
  /** Departures from the style at single sections. */
  exceptions: Record<string, StyleChanges> | undefined
}

/** Everything that follows from one print edition at one outlet: the product's chain. Lengths in points. */
export interface PrintChain extends PrintInputs {
  interior: Interior
  /** Pages as printed, the outlet's blanks included. */
  pages: number
  spine: number
  flat: Flat
  /** Size of the wrap with its bleed. */
  wrap: { width: number; height: number }
  cover: Cover
  /** What the cover shows under its words. */
  ground: CoverGround
  /** What was found in what of it was made elsewhere. */
  examined: Examined | undefined
  /** The front of the cover as a picture of the height that the outlet takes. */
  front: PaintedPage
  money: PrintMoney
  /** Runs that have something in common with other books. */
  doubles: Double[]
  worked: Worked
  findings: Finding[]
  /** What the outlet would see if it were sent now. */
  snapshot: ListingSnapshot
}

/** Height at which a cover's ground is looked at, pixels: finer than letters that can be read. */
const GROUND_HEIGHT = 420

/** The bleed that serves all printers of an interior: the widest, on as many edges as any asks. */
function bleedOf(printers: OutletProfile[]): { bleed: number; bleedsInside: boolean } {
  const rules = printers.map(printRules)
  return { bleed: Math.max(0, ...rules.map(r => pts(r.bleed))), bleedsInside: rules.some(r => r.bleedEdges === 4) }
}

/** What an interior is set from. */
type SettingOf = Pick<PrintInputs, 'text' | 'style' | 'profile' | 'spec' | 'isbn' | 'exceptions' | 'others'>

/** Sets the interior for all its printers: margins, bleed and page count as the strictest of them asks, planned pages among the rest. */
async function setInterior(
  { text, style, profile, spec, isbn, exceptions, others }: SettingOf,
  { setter, runs, shelf, ticker }: Required<Pick<Tools, 'setter' | 'runs' | 'shelf' | 'ticker'>>,
  only?: ReadonlySet<number>,
): Promise<Interior> {
  const trim = parseTrim(spec.trim)
  if (!trim) throw new Fault('no-trim', `“${spec.trim}” is no trim.`)
  const printers = [profile, ...others].filter(p => p.print?.bindings.some(b => b.kind === spec.binding))
  const multipleOf = (p: OutletProfile): number => bindingRules(p, spec.binding).pageMultiple
  const asked = (pages: number): number =>
    Math.max(...printers.map(p => insideMargin(p, spec.binding, roundPages(pages, multipleOf(p)))))
  const page = {
    width: trim.width,
    height: trim.height,
    ...bleedOf(printers),
    isbn,
    exceptions,
    planned: text.plan?.runs,
  }
  const interior = await settleInterior(setter, { book: text, style, spec: page }, asked, ticker)
  if (!text.plan) return filledUp(interior, multipleOf(profile))
  const strictest = (zone: 'safe' | 'safeWithBleed'): number => Math.max(...printers.map(p => pts(printRules(p)[zone])))
  const planned = await withPlan(interior, text, text.plan, {
    inside: asked(pagesInAll(interior)),
    safe: strictest('safe'),
    safeWithBleed: strictest('safeWithBleed'),
    runs,
    shelf,
    only,
    ticker,
  })
  return filledUp(planned, multipleOf(profile))
}

const settingOf = async (get: <K extends keyof PrintChain>(key: K) => Promise<PrintChain[K]>): Promise<SettingOf> => ({
  text: await get('text'),
  style: await get('style'),
  profile: await get('profile'),
  spec: await get('spec'),
  isbn: await get('isbn'),
  exceptions: await get('exceptions'),
  others: await get('others'),
})

/**
 * Some planned pages as they will be, before the others are made: what shows nothing is left out, and all where the book has no plan.
 * Twins of pages that are not made are not looked for. Throws Cancelled where the book has changed meanwhile.
 */
export async function plannedLook(
  chain: Graph<PrintChain>,
  { setter, runs, shelf, ticker }: Tools,
  pages: readonly number[],
): Promise<{ page: number; marks: PageMarks }[]> {
  const setting = await settingOf(key => chain.get(key))
  if (!setting.text.plan) return []
  // A newer state stops it: that has a look of its own.
  const still: Ticker = async p => {
    await ticker?.(p)
    if ((await chain.get('text')) !== setting.text) throw new Cancelled()
  }
  const interior = await setInterior(setting, { setter, runs, shelf, ticker: still }, new Set(pages))
  return pages.flatMap(page => {
    const marks = interior.planned.has(page) ? interior.pages[page] : undefined
    return marks?.layers.length ? [{ page, marks }] : []
  })
}

const findingsOf: Derive<PrintChain, 'findings'> = async get =>
  check({
    book: await get('text'),
    profile: await get('profile'),
    print: {
      spec: await get('spec'),
      interior: await get('interior'),
      cover: await get('cover'),
      ground: await get('ground'),
      examined: await get('examined'),
      isbn: await get('isbn'),
      price: await get('price'),
      leastPrice: (await get('money')).leastPrice,
      finish: await get('finish'),
      doubles: await get('doubles'),
    },
  })

/** What the runs of a planned book ask is told to the other books, and asked of them. */
const doublesWith =
  (others: OtherBooks | undefined): Derive<PrintChain, 'doubles'> =>
  async get => {
    const { id, plan } = await get('text')
    if (!plan || !others) return []
    const { twins } = await get('interior')
    const names = twins.flatMap(t => t.names)
    await others.keep(id, names)
    return doublesAmong(twins, await others.asking(id))
  }

const listPrice = (amount: number | undefined, { currency }: OutletProfile): ListPrice | undefined =>
  amount === undefined ? undefined : { amount, currency }

/** The graph for a print edition at an outlet. */
export function printChain(
  inputs: PrintInputs,
  { setter, runs, shelf, ports, others, ticker }: Tools,
): Graph<PrintChain> {
  return createGraph<PrintChain>(inputs, {
    interior: async (get, wanted) => {
      // Setting a long book stops as soon as what it is set from has changed; sections that are set stay set.
      const still: Ticker = async p => {
        await ticker?.(p)
        if (!wanted()) throw new Cancelled()
      }
      return setInterior(await settingOf(get), { setter, runs, shelf, ticker: still })
    },
    pages: async get => {
      const { pageMultiple } = bindingRules(await get('profile'), (await get('spec')).binding)
      return roundPages((await get('interior')).pages.length, pageMultiple)
    },
    spine: async get => spineThickness(await get('profile'), await get('spec'), await get('pages')),
    flat: async get => {
      const { language } = await get('data')
      const [spec, barcode] = [await get('spec'), await get('barcode')]
      return flatFor(await get('profile'), { ...spec, pages: await get('pages'), language, barcode })
    },
    wrap: async get => sheetSize(await get('flat')),
    cover: async get => {
      const [fitted, design, data] = [await get('coverPages'), await get('design'), await get('data')]
      const [profile, spec, barcode] = [await get('profile'), await get('spec'), await get('barcode')]
      const { language } = data
      const flat =
        fitted === undefined ? await get('flat') : flatFor(profile, { ...spec, pages: fitted, language, barcode })
      const price = barcode === 'priced' ? listPrice(await get('price'), profile) : undefined
      const [isbn, assets, wrap] = [await get('isbn'), await get('assets'), await get('ownWrap')]
      return drawCover(flat, design, data, { isbn, price, shelf, assets, wrap })
    },
    ground: async get => {
      const { ground: page } = await get('cover')
      const scale = GROUND_HEIGHT / page.height
      return { ...(await ports.pixels(page, scale)), scale }
    },
    examined: async get => examineElsewhere(await get('cover'), ports),
    front: async get => frontPicture(await get('cover'), await get('profile'), ports),
    money: async get => {
      const [profile, spec, { lowContent }] = [await get('profile'), await get('spec'), await get('draft')]
      return printMoney(profile, spec, await get('pages'), await get('price'), { lowContent })
    },
    doubles: doublesWith(others),
    worked: async get =>
      workedPrint(await get('profile'), await get('spec'), {
        pages: await get('pages'),
        flat: await get('flat'),
        money: await get('money'),
      }),
    findings: findingsOf,
    snapshot: async get => {
      const { plan } = await get('text')
      return printSnapshot(await statedInputs(get), {
        pages: await get('pages'),
        spine: await get('spine'),
        wrap: await get('wrap'),
        money: await get('money'),
        style: await get('style'),
        exceptions: await get('exceptions'),
        edition: await get('stated'),
        finish: await get('finish'),
        plan,
      })
    },
  })
}
