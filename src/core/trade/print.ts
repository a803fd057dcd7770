import { add, ceil, div, type Exact, exact, mul, sub } from './exact'
import { Fault } from './fault'
import { parseLength } from './length'
import type { BindingKind, BindingRules, Ink, InsideMargin, OutletProfile, PrintRules } from './profile'

/** What is printed and how: the specification of a print edition at one outlet. */
export interface PrintSpec {
  binding: BindingKind
  trim: string
  paper: string
  ink: Ink
}

/** Pixels an inch that a picture must have as printed. */
export const IMAGE_PPI = 300

/** A length of a profile in points; the schema has already made sure that it is one. */
export const pts = (length: string): number => parseLength(length)!

/** The print rules of a profile, or a Fault where the outlet does not print. */
export function printRules(profile: OutletProfile): PrintRules {
  if (!profile.print) throw new Fault('no-print', `${profile.name} sells ebooks only.`)
  return profile.print
}

/** The rules for one binding, or a Fault. */
export function bindingRules(profile: OutletProfile, kind: BindingKind): BindingRules {
  const rules = printRules(profile).bindings.find(b => b.kind === kind)
  if (!rules) throw new Fault('no-binding', `${profile.name} does not bind ${bindingName(kind)}.`)
  return rules
}

/** One book of a binding, in a sentence: "paperback". */
export const bindingWord = (kind: BindingKind): string =>
  ({ paperback: 'paperback', coil: 'coil book', saddle: 'stitched booklet', case: 'case laminate' })[kind]

export const bindingName = (kind: BindingKind): string =>
  ({ paperback: 'paperbacks', coil: 'coil books', saddle: 'stitched booklets', case: 'case laminate' })[kind]

/** The pages that are printed when the interior has `made` pages: blanks are added up to the multiple. */
export function roundPages(made: number, multiple: number): number {
  return Math.ceil(made / multiple) * multiple
}

/** Thickness of the book block in points: pages × caliper (+ boards for a case). Source: the profile. */
export function spineThickness(
  profile: OutletProfile,
  spec: Pick<PrintSpec, 'binding' | 'paper'>,
  pages: number,
): number {
  if (spec.binding === 'coil' || spec.binding === 'saddle') return 0
  const paper = paperOf(profile, spec.paper)
  const boards = spec.binding === 'case' ? pts(bindingRules(profile, 'case').case?.boards ?? '0 in') : 0
  return pages * pts(paper.caliper) + boards
}

export function paperOf(profile: OutletProfile, id: string): PrintRules['papers'][number] {
  const paper = printRules(profile).papers.find(p => p.id === id)
  if (!paper)
    throw new Fault(
      'no-paper',
      `${profile.name} has no paper called “${id}”: it prints on ${printRules(profile)
        .papers.map(p => p.id)
        .join(', ')}.`,
    )
  return paper
}

/** The least inside margin for a page count, in points, by the outlet's rule. */
export function insideMargin(profile: OutletProfile, binding: BindingKind, pages: number): number {
  const rule: InsideMargin = bindingRules(profile, binding).insideMargin ?? printRules(profile).insideMargin!
  if ('bands' in rule) {
    const band = rule.bands.find(b => pages <= b.upTo) ?? rule.bands[rule.bands.length - 1]!
    return pts(band.margin)
  }
  // In exact tenths: 0.30 + 0.001 × 250 must be 0.55, not a hair more that would round up to 0.56.
  const [base, unit] = lengthParts(rule.base)
  const [aPage] = lengthParts(rule.aPage)
  const [step] = lengthParts(rule.step)
  const steps = ceil(div(add(base, mul(aPage, exact(BigInt(pages)))), step))
  const margin = mul(exact(steps), step)
  return parseLength(`${Number(margin.n) / Number(margin.d)}`, unit)!
}

function lengthParts(text: string): [Exact, 'in' | 'mm' | 'pt'] {
  const m = /^([\d.]+)\s*(in|mm|pt)$/.exec(text)!
  return [exact(m[1]!), m[2] as 'in' | 'mm' | 'pt']
}

/** The rates a specification is printed at: those of its own paper before those of its ink alone. */
export function costLine(profile: OutletProfile, spec: PrintSpec): PrintRules['costs'][number] {
  const rules = printRules(profile)
  const line =
    rules.costs.find(c => c.ink === spec.ink && c.papers?.includes(spec.paper)) ??
    rules.costs.find(c => c.ink === spec.ink && !c.papers)
  if (!line)
    throw new Fault('no-ink', `${profile.name} does not print in ${spec.ink === 'black' ? 'black' : 'colour'}.`)
  return line
}

/** Print cost of one copy, exact, in minor units of the profile's currency. */
export function printCost(profile: OutletProfile, spec: PrintSpec, pages: number): Exact {
  const line = costLine(profile, spec)
  const body = add(exact(line.fixed), mul(exact(line.aPage), exact(BigInt(pages))))
  return add(body, exact(bindingRules(profile, spec.binding).extraCost))
}

/** What an outlet does not make of a specification: of which part of it, and a plain sentence. */
export interface SpecProblem {
  what: 'outlet' | 'trim' | 'finish' | 'pages'
  message: string
}

/** Checks a specification against a profile; none where all is well. `pages` as made, before the outlet's blanks. */
export function specProblems(
  profile: OutletProfile,
  spec: PrintSpec,
  { pages, finish }: { pages?: number; finish?: string } = {},
): SpecProblem[] {
  const problems: SpecProblem[] = []
  const say = (what: SpecProblem['what'], message: string): void => void problems.push({ what, message })
  try {
    const binding = bindingRules(profile, spec.binding)
    if (!binding.trims.includes(spec.trim))
      say('trim', `${profile.name} does not print ${spec.trim}: it prints ${binding.trims.join(', ')}.`)
    if (finish && !finishesOf(profile, spec.binding).includes(finish))
      say('finish', `${profile.name} does not finish ${bindingName(spec.binding)} in ${finish}.`)
    paperOf(profile, spec.paper)
    printCost(profile, spec, pages ?? binding.leastPages)
    if (pages !== undefined) {
      const printed = roundPages(pages, binding.pageMultiple)
      if (printed < binding.leastPages)
        say('pages', `${printed} pages are ${binding.leastPages - printed} fewer than ${profile.name} binds.`)
      if (printed > binding.mostPages)
        say('pages', `${printed} pages are ${printed - binding.mostPages} more than ${profile.name} binds.`)
    }
  } catch (e) {
    if (!(e instanceof Fault)) throw e
    say('outlet', e.message)
  }
  return problems
}

/** The surfaces that an outlet offers for covers of a binding. */
export const finishesOf = (profile: OutletProfile, binding: BindingKind): string[] =>
  printRules(profile)
    .finishes.filter(f => !f.bindings || f.bindings.includes(binding))
    .map(f => f.name)

/** The list price less the tax inside it: list ÷ (1 + VAT). */
export const withoutTax = (list: Exact, vat: string): Exact => div(list, add(exact(1), exact(vat)))

/** share × (list − tax) − cost, exact. Source: print.md's formula, restated in docs/architecture.md. */
export const printRoyalty = (share: string, list: Exact, vat: string, cost: Exact): Exact =>
  sub(mul(exact(share), withoutTax(list, vat)), cost)

/** The least list price at which the royalty is not negative: (cost ÷ share) with tax, rounded up. */
export const leastPrintPrice = (share: string, vat: string, cost: Exact): bigint =>
  ceil(mul(div(cost, exact(share)), add(exact(1), exact(vat))))
