import { describe, expect, test } from '@jest/globals'
import { shippedProfiles } from '../outlets'
import fc from 'fast-check'
import { fontSource, nodePdf } from '@/cli/ports'
import { readProject, writeProject } from '@/core/archive'
import { harbourRoman, Setter, withChanges } from '@/core/pages'
import { pdfBytes } from '@/core/pdf'
import { Fault } from '@/core/trade'
import { bookOf } from '../../../tests/support/core'
import { hashOf } from '../book'
import { FontShelf, ownFamily, ownFamilyForm, readFont } from '.'

const file = async (key: string): Promise<Uint8Array> => Uint8Array.from((await fontSource(key))!)
/** Where a table stands in a font. */
function tableAt(bytes: Uint8Array, tag: string): number {
  const v = new DataView(bytes.buffer)
  for (let i = 0; i < v.getUint16(4); i++)
    if (String.fromCharCode(...bytes.subarray(12 + i * 16, 16 + i * 16)) === tag) return v.getUint32(20 + i * 16)
  throw new Error(tag)
}
const why = (bytes: Uint8Array): Promise<string> =>
  readFont(bytes).then(
    () => 'taken',
    (e: Fault) => (e instanceof Fault ? e.message : `not a fault: ${String(e)}`),
  )

describe('fonts of the author’s own', () => {
  test('a font says its family and cut', async () => {
    const read = await Promise.all(
      ['spectral/regular', 'spectral/italic', 'spectral/bold', 'spectral/bold-italic'].map(async k =>
        readFont(await file(k)),
      ),
    )
    expect(read.map(r => [r.family, r.cut])).toEqual([
      ['Spectral', 'regular'],
      ['Spectral', 'italic'],
      ['Spectral', 'bold'],
      ['Spectral', 'bold-italic'],
    ])
    const family = ownFamily(read)
    expect(family.id).toMatch(ownFamilyForm)
    expect(ownFamily([...read].reverse())).toEqual({ ...family, files: family.files })
    expect(ownFamily([read[2]!], { ...family, files: { regular: read[0]!.hash } }).files).toEqual({
      regular: read[0]!.hash,
      bold: read[2]!.hash,
    })
    expect(() => ownFamily([read[1]!])).toThrow(/needs its regular/)
  })
  test('licence bits are read, and the refusal says why', async () => {
    const with_ = async (fsType: number): Promise<string> => {
      const bytes = await file('spectral/regular')
      new DataView(bytes.buffer).setUint16(tableAt(bytes, 'OS/2') + 8, fsType)
      return why(bytes)
    }
    expect([await with_(0), await with_(4), await with_(8)]).toEqual(['taken', 'taken', 'taken'])
    expect(await with_(2)).toMatch(/does not allow it in documents/)
    expect(await with_(0x100)).toMatch(/only whole/)
    expect(await with_(0x200)).toMatch(/bitmaps/)
    // A file that came in some other way is refused by the writer, too.
    const bytes = await file('spectral/regular')
    new DataView(bytes.buffer).setUint16(tableAt(bytes, 'OS/2') + 8, 2)
    const shelf = new FontShelf(fontSource)
    shelf.addFamilies([{ id: 'own-000000000000', files: { regular: 'x' } }], new Map([['x', bytes]]))
    const interior = await new Setter(shelf).set(
      bookOf([['Words.']]),
      withChanges(harbourRoman, { 'text.family': 'own-000000000000' }),
      { width: 432, height: 648, inside: 0 },
    )
    await expect(
      pdfBytes(
        interior.pages,
        { title: 'T', language: 'en', date: '2026-01-01T00:00:00Z', grey: true },
        await nodePdf({ bytes: async () => undefined, decode: () => Promise.reject(new Error('none')) }),
      ),
    ).rejects.toThrow(/licence/)
  })
  test('what is no such font is refused in a plain sentence, whatever its bytes', async () => {
    const good = await file('spectral/regular')
    const marked = (magic: string): Uint8Array =>
      Uint8Array.from([...magic].map(c => c.charCodeAt(0)).concat([...good.subarray(4, 400)]))
    for (const [bytes, reason] of [
      [new Uint8Array(0), /TrueType form/],
      [marked('OTTO'), /PostScript/],
      [marked('wOF2'), /web pages/],
      [marked('ttcf'), /collection/],
      [good.subarray(0, 3000), /damaged/],
      [new TextEncoder().encode('<html>not a font at all</html>'), /TrueType form/],
    ] as const)
      expect(await why(Uint8Array.from(bytes))).toMatch(reason)
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.tuple(fc.nat(2000), fc.nat(255)), { minLength: 1, maxLength: 30 }),
        async changes => {
          const bytes = Uint8Array.from(good)
          for (const [at, value] of changes) bytes[at] = value
          expect(await why(bytes)).toMatch(/^(taken|This font cannot be used: )/)
        },
      ),
      { numRuns: 60 },
    )
  })
  test('broken outlines and widths are refused: such letters would print blank, or over one another', async () => {
    const loca = await file('spectral/regular')
    loca.fill(0xff, tableAt(loca, 'loca') + 8, tableAt(loca, 'loca') + 4000)
    expect(await why(loca)).toMatch(/damaged: its outlines do not stand/)
    const widths = await file('spectral/regular')
    widths.fill(0, tableAt(widths, 'hmtx'), tableAt(widths, 'hmtx') + 2400)
    expect(await why(widths)).toMatch(/no width, and would print over/)
    const blank = await file('spectral/regular')
    const v = new DataView(blank.buffer)
    const long = v.getInt16(tableAt(blank, 'head') + 50) === 1
    for (let i = 0; i < 400; i++)
      if (long) v.setUint32(tableAt(blank, 'loca') + i * 4, 0)
      else v.setUint16(tableAt(blank, 'loca') + i * 2, 0)
    expect(await why(blank)).toMatch(/no outline, and would print blank/)
  })
  test('a load that failed is tried again, and is never taken for a cut that is not there', async () => {
    let tries = 0
    const shelf = new FontShelf(async key => {
      if (++tries === 1) throw new Error('no network')
      return fontSource(key)
    })
    await expect(shelf.face('spectral/regular')).rejects.toThrow('no network')
    expect((await shelf.face('spectral/regular')).familyName).toBe('Spectral')
  })
  test('a book set in one carries it, in its project and embedded in its pages', async () => {
    const bytes = await file('spectral/regular')
    const family = ownFamily([await readFont(bytes)])
    const book = { ...bookOf([['Set in my own letters.']]), fonts: [family] }
    const project = writeProject({ book, pictures: new Map([[hashOf(bytes), bytes]]) })
    const back = readProject(project, { known: shippedProfiles })
    expect(back.book.fonts).toEqual([family])
    expect(Buffer.from(back.pictures.get(family.files.regular!)!).equals(Buffer.from(bytes))).toBe(true)
    const shelf = new FontShelf(fontSource)
    shelf.addFamilies(back.book.fonts!, back.pictures)
    const interior = await new Setter(shelf).set(back.book, withChanges(harbourRoman, { 'text.family': family.id }), {
      width: 432,
      height: 648,
      inside: 0,
    })
    expect(interior.lent.map(l => l.what)).toEqual(expect.arrayContaining(['italic', 'bold']))
    const pdf = Buffer.from(
      await pdfBytes(
        interior.pages,
        { title: 'T', language: 'en', date: '2026-01-01T00:00:00Z', grey: true },
        await nodePdf({ bytes: async () => undefined, decode: () => Promise.reject(new Error('none')) }),
      ),
    ).toString('latin1')
    expect(pdf).toMatch(/[A-Z]{6}\+Spectral/)
    expect(() => withChanges(harbourRoman, { 'text.family': 'own-not-a-hash' })).toThrow(Fault)
  })
})
