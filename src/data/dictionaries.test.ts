import '../../tests/support/store'
import { beforeEach, expect, jest, test } from '@jest/globals'
import { readOwnDictionary } from '@/core/proof'

const closed: string[] = []
jest.unstable_mockModule('@/workers/proofClient', () => ({
  openProof: () => ({
    dictionaryIn: async (...asked: Parameters<typeof readOwnDictionary>) => readOwnDictionary(...asked),
    close: () => closed.push('closed'),
  }),
}))
const data = {
  ...(await import('./db')),
  ...(await import('./blobs')),
  ...(await import('./backup')),
  ...(await import('./dictionaries')),
}
const AFF = 'SET UTF-8\nSFX A Y 1\nSFX A 0 n .\n'
const files = (word: string): File[] => [new File([AFF], 'kueste.aff'), new File([`1\n${word}/A\n`], 'kueste.dic')]
const DAY = 24 * 3600 * 1000

beforeEach(async () => {
  await Promise.all(data.db.tables.map(t => t.clear()))
  closed.length = 0
})

test('is kept for its language until another takes its place or it is put away', async () => {
  await data.bringInDictionary('de', files('Möwe'))
  const first = (await data.ownDictionary('de'))!
  expect(first).toMatchObject({ id: 'de', name: 'kueste.dic', words: 1 })
  expect(await data.dictionaryTexts(first)).toEqual({ aff: AFF, dic: '1\nMöwe/A\n' })
  expect([await data.ownDictionary('fr'), await data.ownDictionary('DE')]).toEqual([undefined, first])

  await data.bringInDictionary('de', [new File(['Flut\nEbbe\n'], 'list.txt')])
  const second = (await data.ownDictionary('de'))!
  expect([second.name, second.words, 'aff' in second]).toEqual(['list.txt', 2, false])
  expect(await data.dictionaryTexts(second)).toEqual({ aff: '', dic: 'Flut\nEbbe\n' })
  expect(await data.keptDictionaries()).toEqual([second])

  // What it was made of goes when nothing names it any more, and not before.
  await data.collectBlobs(Date.now() + 2 * DAY)
  expect([await data.blobBytes(first.dic), !!(await data.blobBytes(second.dic))]).toEqual([undefined, true])
  await data.forgetDictionary('de')
  expect(await data.keptDictionaries()).toEqual([])
  expect(closed).toHaveLength(2)
})

test('files that are none change nothing, and say why', async () => {
  await data.bringInDictionary('de', files('Möwe'))
  await expect(data.bringInDictionary('de', [new File([AFF], 'a.aff')])).rejects.toThrow('.dic belongs to it')
  expect((await data.ownDictionary('de'))!.name).toBe('kueste.dic')
  expect(closed).toHaveLength(2)
})

test('goes with a backup and comes back whole; one that is not whole says so', async () => {
  await data.bringInDictionary('de', files('Möwe'))
  const library = await data.collectLibrary()
  await Promise.all(data.db.tables.map(t => t.clear()))
  await data.restoreLibrary(library)
  const back = (await data.ownDictionary('de'))!
  expect((await data.dictionaryTexts(back)).dic).toBe('1\nMöwe/A\n')
  await data.db.blobs.clear()
  await expect(data.dictionaryTexts(back)).rejects.toThrow('“kueste.dic” is not whole any more: bring it in again.')
})
