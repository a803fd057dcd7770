import { describe, expect, test } from '@jest/globals'
import { existsSync, readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { checkEpub } from '@/core/epub'
import { readManuscript } from '@/core/intake'
import { bookText } from '@/core/book'
import { root, run } from './support/run'

/** Ebooks that other projects test with: what stops them here is an error for epubcheck too, and what is none there does not stop them here. */
const folder = join(root, '.cache/sources')
const ebooks =
  process.env.DEEP && existsSync(folder)
    ? readdirSync(folder, { recursive: true }).filter((f): f is string => typeof f === 'string' && f.endsWith('.epub'))
    : []

describe('ebooks of others', () => {
  test('are looked for in the deep run', () => {
    if (process.env.DEEP) expect(ebooks.length).toBeGreaterThan(5)
    else expect(ebooks).toEqual([])
  })
  for (const file of ebooks)
    test(`${file} is judged as an outside checker judges it`, async () => {
      const path = join(folder, file)
      const bytes = new Uint8Array(readFileSync(path))
      const { out, err } = await run('java', ['-jar', '/usr/share/java/epubcheck.jar', path])
      const outside = /Messages: 0 fatals \/ 0 errors/.test(out + err)
      const stops = checkEpub(bytes).filter(f => f.severity === 'stop')
      expect({ stops: outside ? stops : [], sound: outside }).toEqual({ stops: [], sound: outside })
      expect(bookText(readManuscript(file, bytes).book).length).toBeGreaterThan(0)
    }, 60_000)
})
