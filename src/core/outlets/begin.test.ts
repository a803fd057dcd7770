import { describe, expect, test } from '@jest/globals'
import { bookTroubles } from '../archive'
import { createBook } from '../book'
import { parseTrim, specProblems } from '../trade'
import { specOf } from '../book'
import { firstEdition, firstEditions, shippedProfiles, takesKind } from '.'

const data = { title: 'T', contributors: [], language: 'en', imprint: { name: '' }, subjects: [] }

describe('what an edition begins with', () => {
  test('a book of any kind is in order, and its printer makes it, whichever outlets there are', () => {
    const some = shippedProfiles.flatMap((_, i) => [shippedProfiles.slice(i), [shippedProfiles[i]!]])
    for (const known of some)
      for (const kind of ['text', 'pages'] as const) {
        const editions = firstEditions(kind, known)
        expect(bookTroubles({ ...createBook('b', data), editions }, known)).toEqual([])
        for (const e of editions.filter(x => x.kind !== 'ebook')) {
          const printer = known.find(p => p.id === e.outlets[0])
          expect(!!printer).toBe(known.some(p => takesKind(p, e.kind)))
          if (printer) expect(specProblems(printer, specOf(e))).toEqual([])
        }
      }
  })
  test('an ebook goes to shops, and to no distributor that brings it there again', () => {
    expect(firstEdition('ebook', shippedProfiles).outlets).toEqual(['ostrevane', 'pellowick'])
    const alone = shippedProfiles.filter(p => p.id === 'harrowmere')
    expect(firstEdition('ebook', alone).outlets).toEqual(['harrowmere'])
  })
  test('the trim beside it is taken where it is offered; planned pages are white', () => {
    expect(firstEdition('coil', shippedProfiles, { trim: 'A5' })).toMatchObject({ trim: 'A5', outlets: ['harrowmere'] })
    expect(parseTrim(firstEdition('coil', shippedProfiles, { trim: '5x8in' }).trim!)).toBeTruthy()
    expect(firstEditions('pages', shippedProfiles).map(e => e.paper)).toEqual(['white'])
    expect(firstEdition('paperback', shippedProfiles).paper).toBe('cream')
  })
})
