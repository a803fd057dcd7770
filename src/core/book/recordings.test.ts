import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { anyBook } from '../../../tests/support/arbitrary'
import { bookOf, chapter, paragraph } from '../../../tests/support/core'
import {
  asMatter,
  type Book,
  docRecordings,
  filesOf,
  isTimed,
  nextBook,
  picturesIn,
  placeMatter,
  recordingsIn,
  spokenLines,
  usedRecordings,
} from '.'

const bell = { id: 'b'.repeat(64), type: 'audio/mpeg' as const, seconds: 4 }
const film = { id: 'f'.repeat(64), type: 'video/mp4' as const }
const plays = (id: string, recording: string, more: object = {}) => ({
  type: 'image' as const,
  attrs: { id, asset: '', alt: 'A bell', decoration: false, share: 1, plays: recording, ...more },
})
const book: Book = {
  ...bookOf([]),
  recordings: [bell, film],
  sections: [
    chapter('s1', 'One', { type: 'doc', content: [paragraph('b1', 'It rang.'), plays('b2', bell.id)] }),
    {
      ...chapter('s2', 'About', { type: 'doc', content: [plays('b3', film.id, { asset: 'still' })] }),
      part: 'back',
      role: 'about-author',
    },
  ],
}

describe('recordings of a book', () => {
  test('are found where they stand; one of which nothing is seen is no picture, the still of another is', () => {
    expect(docRecordings(book.sections[0]!.doc)).toEqual([
      { recording: bell.id, block: 'b2', alt: 'A bell', spoken: '', told: false },
    ])
    expect(picturesIn(book.sections[0]!)).toEqual([])
    expect(picturesIn(book.sections[1]!).map(p => p.asset)).toEqual(['still'])
    expect(usedRecordings(book.recordings, [book.sections[1]!])).toEqual([film])
    expect(recordingsIn({ ...book.sections[0]!, made: true })).toEqual([])
  })
  test('are files of the book, and go with what is taken of it to others', () => {
    expect(filesOf(book)).toEqual([bell.id, film.id])
    // The next of a series takes what stands in book after book.
    expect(nextBook(book, 'next').recordings).toEqual([film])
    const matter = asMatter(book, book.sections[1]!, { id: 'about', name: 'About' })
    expect(matter.recordings).toEqual([film])
    const other = placeMatter({ ...bookOf([]), recordings: [bell] }, matter)
    expect(other.recordings).toEqual([bell, film])
    expect(placeMatter(other, matter).recordings).toEqual([bell, film])
  })
})

describe('words of a recording', () => {
  test('are paragraphs, of timed ones the words alone', () => {
    expect(spokenLines('It rings.\n\n\n Water laps.\nAnd stops. ')).toEqual(['It rings.', 'Water laps.\nAnd stops.'])
    const timed =
      'WEBVTT - a bell\n\nNOTE made by hand\n\n1\n00:00.000 --> 00:02.500 align:start\n<v Ada>It rings.</v>\n\n00:01:02.500 --> 00:01:04.000\nWater\nlaps.\n'
    expect(isTimed(timed)).toBe(true)
    expect(spokenLines(timed)).toEqual(['It rings.', 'Water laps.'])
    expect(isTimed('WEBVTTS and other words')).toBe(false)
    expect(spokenLines('')).toEqual([])
  })
  test('that are not timed lose no letter', () => {
    fc.assert(
      fc.property(fc.string(), text => {
        fc.pre(!isTimed(text))
        const bare = (t: string): string => t.replace(/\s+/g, '')
        expect(bare(spokenLines(text).join(''))).toBe(bare(text))
      }),
    )
  })
})

test('any book names no recording as a picture', () => {
  fc.assert(
    fc.property(anyBook, b => {
      for (const s of b.sections) for (const p of picturesIn(s)) expect(p.asset).not.toBe('')
    }),
  )
})
