import { readFileSync } from 'node:fs'
import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { displayFamilies, fontRights, shippedFamilies } from '.'

const file = (name: string): Uint8Array => new Uint8Array(readFileSync(`public/fonts/${name}`))

describe('rights of fonts', () => {
  test('every shipped one says that it is under the open licence, and may stand anywhere', () => {
    for (const { files } of Object.values(shippedFamilies))
      for (const f of Object.values(files)) {
        const rights = fontRights(file(f))!
        expect([f, rights.embedding, /SIL Open Font License|OFL/.test(rights.licence ?? '')]).toEqual([
          f,
          'for any use',
          true,
        ])
        expect(rights.copyright).toMatch(/copyright|©/i)
      }
  })
  test('faces for covers, twenty or more, are under open licences and may stand anywhere', () => {
    expect(displayFamilies.length).toBeGreaterThanOrEqual(20)
    for (const { files } of displayFamilies)
      for (const f of Object.values(files)) {
        const rights = fontRights(file(f))!
        expect([f, rights.embedding, /Open Font License|OFL|Apache/.test(rights.licence ?? '')]).toEqual([
          f,
          'for any use',
          true,
        ])
      }
  })
  test('licence bits are said as what they allow', () => {
    const bytes = file(shippedFamilies['eb-garamond']!.files.regular!)
    const view = new DataView(bytes.buffer)
    const os2 = [...Array(view.getUint16(4)).keys()].find(
      i => String.fromCharCode(...bytes.subarray(12 + i * 16, 16 + i * 16)) === 'OS/2',
    )!
    const bits = view.getUint32(20 + os2 * 16) + 8
    const said = (b: number): string => (view.setUint16(bits, b), fontRights(bytes)!.embedding)
    expect([said(4), said(8), said(0)]).toEqual([
      'in documents that are read and printed',
      'in documents that are edited',
      'for any use',
    ])
  })
  test('a broken file says nothing, and stops nothing', () => {
    const bytes = file(shippedFamilies.figtree!.files.regular!).slice(0, 4000)
    fc.assert(
      fc.property(fc.nat(bytes.length - 1), fc.nat(255), fc.nat(bytes.length), (at, b, length) => {
        const broken = bytes.slice(0, length)
        if (at < length) broken[at] = b
        expect(() => fontRights(broken)).not.toThrow()
      }),
    )
  })
})
