import { describe, expect, test } from '@jest/globals'
import { bookOf } from '../../../tests/support/core'
import { type Book, type CoverPiece, hashOf } from '../book'
import { lampOverTide } from '../cover'
import { shippedProfiles } from '../outlets'
import { bookTroubles, mendedBook, readProject, writeProject } from '.'

const box = { x: 0.1, y: 0.1, width: 0.3, height: 0.2 }
const bytes = new Uint8Array([1, 2, 3])
const asset = { id: hashOf(bytes), type: 'image/png' as const, width: 10, height: 10 }
const CUT = { tolerance: 0.1, soft: 2, holes: 'kept' } as const
const pieces: CoverPiece[] = [
  { id: 's', kind: 'shape', panel: 'sheet', within: 'panel', form: 'ribbon', box, colour: '#aabbcc', depth: 0.2 },
  { id: 'p', kind: 'picture', panel: 'front', asset: asset.id, box, focus: { x: 0.2, y: 1 }, zoom: 2, mask: 'round' },
  { id: 'o', kind: 'ornament', panel: 'back', ornament: 'gulls', box, colour: '#aabbcc', turn: -30, locked: true },
  {
    id: 't',
    kind: 'picture',
    panel: 'front',
    asset: asset.id,
    box,
    cut: { tolerance: 0.1, soft: 2, holes: 'kept', strokes: [{ points: [[0.1, 0.2]], radius: 0.02, keeps: true }] },
    tone: {
      colours: { dark: '#102030', light: '#f0e0d0' },
      light: -0.2,
      grain: 0.3,
      tint: { colour: '#aabbcc', strength: 0.4 },
    },
    fade: { toward: 'all sides', over: 0.5 },
  },
  { id: 'l', kind: 'logo', panel: 'back', box },
  { ...lampOverTide.pieces[1]!, id: 'w', shadow: { colour: '#000000', across: 0.1, down: 0.1 } } as CoverPiece,
]
const withCover = (cover: Partial<Book['cover']> = {}): Book => ({
  ...bookOf([['The tide came in.']]),
  assets: [asset],
  cover: {
    ...lampOverTide,
    motif: { ...lampOverTide.motif, kind: 'waves', seed: 7, values: { height: 0.05 } },
    pieces: [...lampOverTide.pieces, ...pieces],
    ...cover,
  },
})
const withEdition = (wrap?: object): Book => ({
  ...withCover(),
  editions: [
    {
      id: 'paperback',
      kind: 'paperback',
      trim: '6x9in',
      paper: 'cream',
      ink: 'black',
      outlets: ['ostrevane'],
      style: 'harbour-roman',
      ...(wrap ? { wrap } : {}),
    } as Book['editions'][number],
  ],
})
const troubles = (book: unknown): string[] => bookTroubles(book as Book, shippedProfiles).map(t => t.sentence)
const withPiece = (piece: object): unknown => withCover({ pieces: [{ ...pieces[0], ...piece } as CoverPiece] })

describe('a cover that comes in', () => {
  test('has pieces of every kind, and comes back from a project as it was', () => {
    const book = withCover()
    expect(troubles(book)).toEqual([])
    const back = readProject(writeProject({ book, pictures: new Map([[asset.id, bytes]]) }), { known: shippedProfiles })
    expect(back.book.cover).toEqual(book.cover)
  })

  test('made elsewhere, whole or in front, it comes back as it was with what is said of the book', () => {
    const over = { top: 9, right: 9, bottom: 9, left: 9 }
    const book = withCover({ front: { asset: asset.id } })
    const [first] = withEdition().editions
    const wrap = {
      sheets: [{ asset: asset.id, width: 900, height: 666, over }],
      atFolds: 'widened',
      barcode: 'in it',
    } as const
    const whole: Book = {
      ...book,
      data: { ...book.data, quotes: ['A quiet marvel. — B.'] },
      editions: [{ ...first!, wrap: { ...wrap, sheets: [...wrap.sheets] } }],
    }
    expect(troubles(whole)).toEqual([])
    const back = readProject(writeProject({ book: whole, pictures: new Map([[asset.id, bytes]]) }), {
      known: shippedProfiles,
    })
    expect(back.book.cover).toEqual(whole.cover)
    expect(back.book.editions).toEqual(whole.editions)
    expect(back.book.data).toEqual(whole.data)
  })

  test.each<[string, unknown, RegExp]>([
    ['a kind that there is not', withPiece({ kind: 'film' }), /piece of the cover 1 is of no kind that covers have/],
    ['a form that there is not', withPiece({ form: 'cloud' }), /form is none of the values/],
    ['a colour that is none', withPiece({ colour: 'red' }), /wants a colour/],
    ['a piece on no panel', withPiece({ panel: 'flap' }), /panel is none of the values/],
    ['a key of another kind', withPiece({ ornament: 'gulls' }), /“ornament”, which is nothing it may have/],
    ['a piece a mile away', withPiece({ box: { ...box, x: 9 } }), /is more than 3/],
    [
      'a ground that there is not',
      withCover({ motif: { ...lampOverTide.motif, kind: 'lava' } }),
      /its motif, its kind is none of the values/,
    ],
    [
      'a value beyond its limits',
      withCover({ motif: { ...lampOverTide.motif, kind: 'stars', values: { many: 1e9 } } }),
      /many is more than 900/,
    ],
    [
      'a value of another ground',
      withCover({ motif: { ...lampOverTide.motif, kind: 'stars', values: { sheets: 3 } } }),
      /“sheets”, which is nothing it may have/,
    ],
    [
      'a picture that the book does not have',
      { ...withCover(), assets: [] },
      /names a picture that the book does not have/,
    ],
    [
      'tones beyond their limits',
      withCover({ pieces: [{ ...pieces[3]!, tone: { light: 3 } } as CoverPiece] }),
      /light is more than 1/,
    ],
    [
      'a stroke through nowhere',
      withCover({
        pieces: [{ ...pieces[3]!, cut: { ...CUT, strokes: [{ points: [[0.1]], radius: 0.1, keeps: true }] } } as never],
      }),
      /strokes/,
    ],
    ['a front that the book does not have', withCover({ front: { asset: 'none' } }), /cover.front names a picture/],
  ])('is refused with %s, and says where', (_name, book, words) => {
    const [first] = troubles(book)
    expect(first).toMatch(words)
    expect(first).toMatch(/cover/)
  })

  test.each<[object, RegExp]>([
    [{ sheets: [{ asset: 'none' }] }, /editions\[0\]\.wrap names a file that the book does not have/],
    [{ sheets: [] }, /wrap/],
    [{ sheets: [{ asset: asset.id, width: 1e9, height: 5 }] }, /width is more than 7200/],
    [{ sheets: [{ asset: asset.id }], atFolds: 'torn' }, /atFolds|none of the values/],
  ])('an edition’s own wrap is refused where it is %j', (wrap, words) => {
    expect(troubles(withEdition(wrap))[0]).toMatch(words)
    // Mended, the edition goes on without what was wrong.
    const { book } = mendedBook(withEdition(wrap), shippedProfiles)!
    expect(troubles(book)).toEqual([])
    expect(book.editions).toMatchObject(withEdition().editions)
  })

  test('loses a broken piece when it is mended, and no other', () => {
    const book = { ...withCover(), assets: [] }
    const mended = mendedBook(book, shippedProfiles)!
    expect(mended.book.cover!.pieces.map(p => p.id)).toEqual(
      withCover()
        .cover!.pieces.map(p => p.id)
        .filter(id => id !== 'p' && id !== 't'),
    )
    expect(mended.mended).toHaveLength(2)
  })
})
