import { expect, test } from '@jest/globals'
import { bookOf, setBook } from '../../../tests/support/core'
import { longText } from '../../../scripts/lib/longText'
import { type BlockJson, type Book } from '../book'
import { pageText } from '../marks'
import { placeAt, ruledOn } from '.'

test('what a style rules is found where it stands on a page, and nowhere else', async () => {
  const plain = bookOf(longText(9000, 4))
  const book: Book = {
    ...plain,
    sections: plain.sections.map((s, k) =>
      s.made
        ? s
        : {
            ...s,
            title: `The ${k}th Bell`,
            doc: {
              ...s.doc,
              content: s.doc.content.flatMap((b, i): BlockJson[] =>
                i && i % 5 === 0 ? [{ type: 'scene_break', attrs: { id: `z${k}x${i}` } }, b] : [b],
              ),
            },
          },
    ),
  }
  const interior = await setBook(book)
  const opens = new Map([...interior.starts].map(([id, page]) => [page, id]))
  let breaks = 0
  for (const [i, page] of interior.pages.entries()) {
    const on = ruledOn(interior, book.sections, i)
    const text = pageText(page)
    if (!text) {
      expect(on).toEqual({})
      continue
    }
    const section = book.sections.find(s => s.id === opens.get(i))
    const chapter = !!section && !section.made
    expect([i, !!on.chapters, !!on.first]).toEqual([i, chapter, chapter])
    // A head stands on the pages that go on, and no opening has one at its top.
    if (chapter) expect(on.heads === undefined || on.heads.y > page.height / 2).toBe(true)
    for (const point of Object.values(on)) {
      expect(point.x).toBeGreaterThanOrEqual(0)
      expect(point.x).toBeLessThanOrEqual(page.width)
      expect(point.y).toBeGreaterThan(0)
      expect(point.y).toBeLessThan(page.height)
    }
    // The hairline's end is at the very thing: what stands there is of that block.
    if (on.first) {
      const place = placeAt(interior, i, on.first.x, on.first.y)!
      expect(place).toMatchObject({ section: section!.id, block: section!.doc.content[0]!.attrs.id })
    }
    if (on.text) {
      const { section: of, block } = placeAt(interior, i, on.text.x, on.text.y)!
      const kind = book.sections.find(s => s.id === of)!.doc.content.find(b => b.attrs.id === block)!.type
      expect(kind).toBe('paragraph')
    }
    if (on.breaks) breaks++
    expect(on.page!.y).toBeCloseTo(interior.block.y, 6)
  }
  expect(breaks).toBeGreaterThan(3)
  expect(ruledOn(interior, book.sections, 9999)).toEqual({})
})
