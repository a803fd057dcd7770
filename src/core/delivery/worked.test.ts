import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { flatFor, sheetSize } from '../cover'
import { printMoney, shippedProfiles } from '../outlets'
import { IN, type PrintSpec, roundPages, toNumber } from '../trade'
import { workedPrint } from '.'

/** What a line comes to: sums of products, as anybody would work them out by hand. */
const workOut = (line: string): number =>
  line
    .replace(/[a-z ]*(?= [+−×]|$)/g, '')
    .split(/(?= [+−] )/)
    .map(t => t.trim())
    .reduce((sum, term) => {
      const product = term
        .replace(/^[+−] /, '')
        .split(' × ')
        .reduce((p, f) => p * parseFloat(f), 1)
      return term.startsWith('−') ? sum - product : sum + product
    }, 0)

const printers = shippedProfiles.filter(p => p.print)
const specs = printers.flatMap(profile =>
  profile.print!.bindings.flatMap(b =>
    profile.print!.papers.flatMap(paper =>
      profile.print!.costs.map(c => ({
        profile,
        binding: b,
        spec: { binding: b.kind, trim: b.trims[0]!, paper: paper.id, ink: c.ink } as PrintSpec,
      })),
    ),
  ),
)

describe('lines that say how a figure came about', () => {
  test('come to the figure, for every outlet, binding, paper and ink', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...specs),
        fc.integer({ min: 40, max: 400 }),
        fc.integer({ min: 400, max: 4000 }),
        ({ profile, binding, spec }, made, price) => {
          const pages = roundPages(made, binding.pageMultiple)
          const flat = flatFor(profile, { ...spec, pages })
          const money = printMoney(profile, spec, pages, price)
          const said = workedPrint(profile, spec, { pages, flat, money })
          if (said.Spine) expect(workOut(said.Spine)).toBeCloseTo(flat.panels.spine.width / IN, 3)
          expect(workOut(said.Print!)).toBeCloseTo(toNumber(money.costExact), 6)
          const { width, height } = sheetSize(flat)
          const [wide, high] = said.Wrap!.split(', ')
          expect(workOut(wide!)).toBeCloseTo(width / IN, 3)
          expect(workOut(high!)).toBeCloseTo(height / IN, 3)
          // Half a cent is what rounding at display may take or give.
          expect(Math.abs(workOut(said.Royalty!) * 100 - money.earnings[0]!.royalty)).toBeLessThanOrEqual(0.5001)
        },
      ),
      { numRuns: 300 },
    )
  })
})
