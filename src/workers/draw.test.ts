import { expect, test } from '@jest/globals'
import { gained, TINY_GAIN } from './draw'

test('small pages: paper and black stay, what is fine becomes darker, and the order of tones is kept', () => {
  for (const paper of [255, 254, 251]) {
    expect(gained(paper, paper, TINY_GAIN)).toBe(paper)
    expect(gained(0, paper, TINY_GAIN)).toBe(0)
    // A hairline that is a fiftieth of black on a screen is to be seen.
    expect(paper - gained(paper - 5, paper, TINY_GAIN)).toBeGreaterThan(25)
    for (let v = 1; v <= paper; v++) {
      expect(gained(v, paper, TINY_GAIN)).toBeLessThanOrEqual(v)
      expect(gained(v, paper, TINY_GAIN)).toBeGreaterThanOrEqual(gained(v - 1, paper, TINY_GAIN))
    }
  }
})
