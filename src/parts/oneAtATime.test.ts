import { expect, test } from '@jest/globals'
import { oneAtATime } from './oneAtATime'

const turn = (): Promise<void> => new Promise(r => setTimeout(r))

test('one is done at a time; whatever comes meanwhile is done once behind it', async () => {
  const log: string[] = []
  let finish = (): void => undefined
  const ask = oneAtATime(() => {
    log.push('begun')
    return new Promise(done => (finish = () => (log.push('done'), done())))
  })
  ask()
  ask()
  ask()
  expect(log).toEqual(['begun'])
  finish()
  await turn()
  expect(log).toEqual(['begun', 'done', 'begun'])
  finish()
  await turn()
  expect(log).toEqual(['begun', 'done', 'begun', 'done'])
  ask()
  expect(log.at(-1)).toBe('begun')
})
