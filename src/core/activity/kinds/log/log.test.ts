import { expect, test } from '@jest/globals'
import fc from 'fast-check'
import { shelf } from '../../../../../tests/support/core'
import { pathsOn, pieceOn } from '../../../../../tests/support/pathsOn'
import { pathBox } from '../../../marks/path'
import { RunPress } from '../../runPress'

const column = fc.record({
  name: fc.string({ maxLength: 14, unit: fc.constantFrom('a', 'W', ' ', 'm') }),
  share: fc.double({ min: 0.5, max: 6, noNaN: true }),
})

test('columns share the width as they say, and no heading runs into the next', async () => {
  await fc.assert(
    fc.asyncProperty(
      fc.array(column, { minLength: 1, maxLength: 7 }),
      fc.integer({ min: 200, max: 600 }),
      async (columns, width) => {
        const [layer] = await new RunPress(shelf).layersOf(
          { id: 'r1', kind: 'log', pages: 1, seed: 1, params: { spacing: 20, tone: 0.4, columns } },
          { runs: [], room: { width, height: 400 }, language: 'en-GB' },
        )
        const whole = columns.reduce((n, c) => n + c.share, 0)
        let edge = 0
        const edges = columns.map(c => (edge += (c.share / whole) * width))
        for (const { path } of pathsOn(layer!)) expect(pathBox(path)[2]).toBeLessThanOrEqual(width + 0.6)
        // Every glyph begins left of the right edge of its own column: the heads of the table stand in rising order.
        const xs = [...(pieceOn(layer!, 'body').text?.x ?? [])]
        for (const [i, x] of xs.entries()) if (i) expect(x).toBeGreaterThan(xs[i - 1]! - 0.01)
        for (const x of xs) expect(x).toBeLessThan(edges.at(-1)!)
      },
    ),
    { numRuns: 40 },
  )
})
