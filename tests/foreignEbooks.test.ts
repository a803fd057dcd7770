import { describe, expect, test } from '@jest/globals'
import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { checkEpub } from '@/core/epub'
import { readManuscript } from '@/core/intake'
import { bookText } from '@/core/book'
import { root, run } from './support/run'

/** Ebooks that other projects test with, in the deep run: one that epubcheck finds sound is stopped by nothing here, and one that it does not is stopped. */
const folder = join(root, '.cache/sources')
const deep = process.env.DEEP ? describe : describe.skip

deep('ebooks of others', () => {
  const ebooks = process.env.DEEP
    ? readdirSync(folder, { recursive: true }).filter((f): f is string => typeof f === 'string' && f.endsWith('.epub'))
    : []
  test('are here', () => expect(ebooks.length).toBeGreaterThan(5))
  for (const file of ebooks)
    test(`${file} is judged as an outside checker judges it`, async () => {
      const path = join(folder, file)
      const bytes = new Uint8Array(readFileSync(path))
      const { out, err } = await run('java', ['-jar', '/usr/share/java/epubcheck.jar', path])
      const sound = /Messages: 0 fatals \/ 0 errors/.test(out + err)
      const stops = checkEpub(bytes).filter(f => f.severity === 'stop')
      if (sound) expect(stops).toEqual([])
      else expect(stops.length).toBeGreaterThan(0)
      expect(bookText(readManuscript(file, bytes).book).length).toBeGreaterThan(0)
    }, 60_000)
})
