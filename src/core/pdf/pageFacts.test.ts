import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import {
  cmyk,
  grayscale,
  PDFArray,
  PDFDocument,
  PDFName,
  PDFNumber,
  type PDFPage,
  rgb,
  StandardFonts,
} from '@cantoo/pdf-lib'
import { createCanvas } from '@napi-rs/canvas'
import { foreignPages, joinedRuns, pageFacts, picturesOfPage, type WordsAt } from '.'

/** What is found on a page on which something was drawn. */
async function factsOf(draw: (page: PDFPage, doc: PDFDocument) => Promise<void> | void) {
  const doc = await PDFDocument.create()
  await draw(doc.addPage([400, 600]), doc)
  return pageFacts(await doc.save())
}
const square = { x: 10, y: 10, width: 50, height: 50 }
function picture(clear: boolean): Buffer {
  const canvas = createCanvas(8, 8)
  canvas.getContext('2d').fillRect(0, 0, clear ? 4 : 8, 8)
  return canvas.toBuffer(clear ? 'image/png' : ('image/jpeg' as 'image/png'))
}

describe('what a printer asks of a page', () => {
  test.each([
    ['greys', grayscale(0.4), ['grey']],
    ['those of a screen', rgb(0.1, 0.5, 0.9), ['rgb']],
    ['inks', cmyk(0.1, 0.9, 0, 0.2), ['cmyk']],
  ])('colours that are %s', async (_, color, colours) => {
    const facts = await factsOf(page => page.drawRectangle({ ...square, color }))
    expect(facts.colours.filter(c => c !== 'grey' || colours.includes('grey'))).toEqual(colours)
    expect(facts.seenThrough).toBe(false)
  })

  test('an ink of its own is one; one that is called as the press calls its own is none', async () => {
    const inkCalled = (ink: string) =>
      factsOf((page, doc) => {
        const tint = doc.context.obj({ FunctionType: 2, Domain: [0, 1], C0: [0, 0, 0, 0], C1: [0, 1, 0, 0], N: 1 })
        const space = PDFArray.withContext(doc.context)
        for (const part of [PDFName.of('Separation'), PDFName.of(ink), PDFName.of('DeviceCMYK')]) space.push(part)
        space.push(doc.context.register(tint))
        page.node.normalizedEntries().Resources.set(PDFName.of('ColorSpace'), doc.context.obj({ CS0: space }))
      })
    expect((await inkCalled('Lamp Orange')).colours).toContain('spot')
    expect((await inkCalled('Black')).colours).not.toContain('spot')
  })

  test.each([
    [
      'covers in part',
      (page: PDFPage) => void page.drawRectangle({ ...square, color: rgb(1, 0, 0), opacity: 0.5 }),
      true,
    ],
    ['covers', (page: PDFPage) => void page.drawRectangle({ ...square, color: rgb(1, 0, 0), opacity: 1 }), false],
    [
      'mixes with what lies under it',
      (page: PDFPage) => {
        const states = page.doc.context.obj({ G0: page.doc.context.obj({ BM: PDFName.of('Multiply') }) })
        page.node.normalizedEntries().Resources.set(PDFName.of('ExtGState'), states)
      },
      true,
    ],
  ])('what %s', async (_, draw, through) => {
    expect((await factsOf(draw)).seenThrough).toBe(through)
  })

  test('a picture that is clear in places is seen through; one that covers is not', async () => {
    const clear = await factsOf(async (page, doc) => page.drawImage(await doc.embedPng(picture(true)), square))
    const solid = await factsOf(async (page, doc) => page.drawImage(await doc.embedJpg(picture(false)), square))
    expect([clear.seenThrough, solid.seenThrough]).toEqual([true, false])
    expect(solid.colours).toContain('rgb')
  })

  test('faces that are not in it are named, each once', async () => {
    const facts = await factsOf(async (page, doc) => {
      for (const name of [StandardFonts.Courier, StandardFonts.TimesRoman, StandardFonts.Courier])
        page.drawText('Ebb', { x: 10, y: 10, font: await doc.embedFont(name) })
    })
    expect(facts.fonts.sort()).toEqual(['Courier', 'Times-Roman'])
  })

  test('a page that is kept with its bleed is as large as that, and says what is cut off, however it is turned', async () => {
    const turned = async (angle: number) => {
      const doc = await PDFDocument.create()
      const page = doc.addPage([400, 600])
      page.setBleedBox(20, 20, 360, 560)
      page.setTrimBox(30, 40, 340, 530)
      page.node.set(PDFName.of('Rotate'), PDFNumber.of(angle))
      const [kept] = await foreignPages(await doc.save(), 'a.pdf', undefined, 'with bleed')
      return kept!
    }
    const upright = await turned(0)
    expect([upright.width, upright.height]).toEqual([360, 560])
    expect(upright.over).toEqual({ top: 10, right: 10, bottom: 20, left: 10 })
    const right = await turned(90)
    expect([right.width, right.height]).toEqual([560, 360])
    // Turned clockwise, what was at its left is at its top.
    expect(right.over).toEqual({ top: 10, right: 10, bottom: 10, left: 20 })
    expect((await turned(180)).over).toEqual({ top: 20, right: 10, bottom: 10, left: 10 })
  })
})

describe('pictures of a page', () => {
  const names = {
    save: 1,
    restore: 2,
    transform: 3,
    paintFormXObjectBegin: 4,
    paintFormXObjectEnd: 5,
    paintImageXObject: 6,
    paintInlineImageXObject: 7,
  }
  // Points from the top left, y down.
  const page = { names, transform: [1, 0, 0, -1, 0, 600], width: 400, height: 600 }
  const steps = (all: [keyof typeof names, unknown[]][]) =>
    picturesOfPage({ ...page, fnArray: all.map(([n]) => names[n]), argsArray: all.map(([, a]) => a) })

  test('are as fine as their pixels are many and their places large, the lesser way', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 4000 }),
        fc.integer({ min: 1, max: 4000 }),
        fc.double({ min: 5, max: 300, noNaN: true }),
        (w, h, size) => {
          const [one] = steps([
            ['transform', [size, 0, 0, 2 * size, 40, 60]],
            ['paintImageXObject', ['i', w, h]],
          ])
          expect(one!.ppi).toBeCloseTo(72 * Math.min(w / size, h / (2 * size)), 6)
          expect(one!.x).toBeCloseTo(0.1, 9)
          expect(one!.y + one!.height).toBeCloseTo(0.9, 9)
        },
      ),
    )
  })

  test('inside drawings lie where those do, and what is drawn after is where it was', () => {
    const found = steps([
      ['save', []],
      [
        'paintFormXObjectBegin',
        [
          [1, 0, 0, 1, 100, 100],
          [0, 0, 9, 9],
        ],
      ],
      ['transform', [50, 0, 0, 50, 0, 0]],
      ['paintImageXObject', ['i', 100, 100]],
      ['paintFormXObjectEnd', []],
      ['restore', []],
      ['transform', [0, 80, -80, 0, 200, 0]],
      ['paintInlineImageXObject', [{ width: 80, height: 160 }]],
    ])
    expect(found[0]).toMatchObject({ ppi: 144, x: 0.25, width: 0.125 })
    // Turned by a quarter it is as fine as before.
    expect(found[1]!.ppi).toBeCloseTo(72, 6)
    expect(found[1]!.x).toBeCloseTo(0.3, 9)
  })
})

describe('runs of words', () => {
  const run = (words: string, x: number, more: Partial<WordsAt> = {}): WordsAt => ({
    words,
    x,
    baseline: 0.5,
    width: 0.1,
    size: 0.02,
    ...more,
  })
  test('that go on with each other are one, with the space that was left between them', () => {
    expect(joinedRuns([run('Eb', 0.1), run('b', 0.2)], 1).map(r => r.words)).toEqual(['Ebb'])
    const [line] = joinedRuns([run('Ebb', 0.1), run('and', 0.206), run('flow', 0.312)], 1)
    expect(line!.words).toBe('Ebb and flow')
    expect(line!.width).toBeCloseTo(0.312 + 0.1 - 0.1, 9)
  })
  test('on other lines, of other sizes or far off stay apart', () => {
    const far = [
      run('a', 0.1),
      run('b', 0.3),
      run('c', 0.4, { baseline: 0.6 }),
      run('d', 0.5, { baseline: 0.6, size: 0.05 }),
    ]
    expect(joinedRuns(far, 1)).toEqual(far)
  })
  test('down a spine are joined along it', () => {
    const down = (words: string, baseline: number) => run(words, 0.5, { baseline, turn: 90 })
    expect(joinedRuns([down('The', 0.1), down('Ebb', 0.208)], 1).map(r => r.words)).toEqual(['The Ebb'])
  })
  test('lose no letter, whatever they are', () => {
    const some = fc.array(
      fc.record({
        words: fc.string({ minLength: 1, maxLength: 6 }),
        x: fc.double({ min: 0, max: 1, noNaN: true }),
        baseline: fc.constantFrom(0.2, 0.4),
        width: fc.double({ min: 0, max: 0.3, noNaN: true }),
        size: fc.constantFrom(0.02, 0.05),
      }),
      { maxLength: 12 },
    )
    const letters = (runs: readonly WordsAt[]): string =>
      runs
        .map(r => r.words)
        .join('')
        .replace(/ /g, '')
    fc.assert(fc.property(some, runs => expect(letters(joinedRuns(runs, 1.4))).toBe(letters(runs))))
  })
})
