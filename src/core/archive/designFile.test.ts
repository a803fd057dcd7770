import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import type { CoverDesign } from '../book'
import { shippedDesigns } from '../cover'
import { readDesign, readPieces, withoutPictures, writeDesign } from '.'
import { isDesign } from './designFile'

const [first] = shippedDesigns
const pictured: CoverDesign = {
  ...first!,
  picture: { asset: 'a', over: 'front' },
  pieces: [
    ...first!.pieces,
    { id: 'p', kind: 'picture', panel: 'front', asset: 'a', box: { x: 0, y: 0, width: 1, height: 1 } },
    {
      id: 'r',
      kind: 'repeat',
      panel: 'front',
      of: { kind: 'picture', asset: 'a' },
      colour: '#000000',
      pattern: 'brick',
      cell: 0.1,
      box: { x: 0, y: 0, width: 1, height: 1 },
    },
  ],
}

describe('designs as files', () => {
  test.each(shippedDesigns.map(d => [d.id, d] as const))('%s comes back as it went', (_id, design) => {
    expect(isDesign(design)).toBe(true)
    expect(readDesign(writeDesign(design))).toEqual(design)
  })
  test('go without what shows pictures of one book, and it is counted', () => {
    expect(withoutPictures(pictured)).toEqual({ design: first, left: 3 })
    expect(isDesign(pictured)).toBe(false)
    expect(readDesign(writeDesign(pictured))).toEqual(first)
  })
  test('that are none, damaged or of a later version are refused with a reason', () => {
    const file = JSON.parse(writeDesign(first!)) as { version: number; design: { motif: { kind: string } } }
    expect(() => readDesign('no')).toThrow(/no design, or it is damaged/)
    expect(() => readDesign('{"format":"something"}')).toThrow(/no design of a cover/)
    expect(() => readDesign(JSON.stringify({ ...file, version: 9 }))).toThrow(/later version/)
    file.design.motif.kind = 'no such ground'
    expect(() => readDesign(JSON.stringify(file))).toThrow(/damaged/)
  })
  test('pieces laid aside come back; whatever else lies there is no piece', () => {
    expect(readPieces(JSON.stringify({ pieces: first!.pieces }))).toEqual(first!.pieces)
    fc.assert(fc.property(fc.oneof(fc.string(), fc.json()), text => expect(readPieces(text)).toEqual([])))
  })
})
