import { beforeAll, describe, expect, test } from '@jest/globals'
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { writeProject } from '@/core/archive'
import { type Book, hashOf, type ImageJson } from '@/core/book'
import { openEpub, properties } from '@/core/publication'
import { bookOf, chapter, paragraph } from './support/core'
import { silence } from './support/recordings'
import { press, run } from './support/run'

/** A book that plays, by its project, the command line and a checker that knows nothing of us. */

const dir = mkdtempSync(join(tmpdir(), 'porchlight-plays-'))
const png = Uint8Array.from(
  atob('iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg=='),
  c => c.charCodeAt(0),
)
const bell = silence(60)
// What a film begins with; nobody here looks at the rest of it.
const film = new TextEncoder().encode('\0\0\0\x18ftypisom\0\0\0\0isomavc1')
const TIMED = 'WEBVTT\n\n00:00.000 --> 00:02.000\nA lamp swings.\n'

const plays = (id: string, recording: Uint8Array, more: Partial<ImageJson['attrs']>, caption?: string): ImageJson => ({
  type: 'image',
  attrs: { id, asset: '', alt: 'The harbour bell', decoration: false, share: 1, plays: hashOf(recording), ...more },
  ...(caption ? { content: [{ type: 'text', text: caption }] } : {}),
})
const book: Book = {
  ...bookOf([]),
  id: 'bell',
  assets: [{ id: hashOf(png), type: 'image/png', width: 1, height: 1, name: 'lamp.png' }],
  recordings: [
    { id: hashOf(bell), type: 'audio/mpeg', name: 'bell.mp3' },
    { id: hashOf(film), type: 'video/mp4', name: 'lamp.mp4' },
  ],
  editions: [{ id: 'ebook', kind: 'ebook', style: 'harbour-roman', outlets: ['ostrevane', 'harrowmere', 'pellowick'] }],
  sections: [
    chapter('s1', 'The Bell', {
      type: 'doc',
      content: [
        paragraph('b1', 'It rang.'),
        plays('b2', bell, { spoken: 'A bell rings.\n\nWater laps.' }, 'The bell'),
        plays('b3', bell, { asset: hashOf(png), spoken: 'A bell rings.' }),
        plays('b4', film, { asset: hashOf(png), spoken: TIMED, told: true }, 'The lamp'),
        paragraph('b5', 'Once.'),
      ],
    }),
  ],
}

const project = join(dir, 'bell.porchlight')
const made = async (outlet: string): Promise<string> => {
  const out = join(dir, outlet)
  const r = await press('make', project, '--out', out, '--only', 'epub', '--outlet', outlet, '--date', '2026-03-09')
  expect(r).toMatchObject({ code: 0, err: '' })
  return join(out, 'book.epub')
}
const typesIn = (file: string): string[] =>
  openEpub(new Uint8Array(readFileSync(file)))
    .items.map(i => i.type)
    .filter(t => /^(audio|video)|vtt/.test(t))
    .sort()

beforeAll(() => {
  const pictures = new Map([bell, film, png].map(b => [hashOf(b), b]))
  writeFileSync(project, writeProject({ book, pictures }))
})

describe('a book with a sound and a film', () => {
  test('goes whole to who takes both; epubcheck and our own check are silent, and its reading is stated as it is', async () => {
    const file = await made('ostrevane')
    expect(typesIn(file)).toEqual(['audio/mpeg', 'text/vtt', 'video/mp4'])
    const r = await run('java', ['-XX:TieredStopAtLevel=1', '-jar', '/usr/share/java/epubcheck.jar', file])
    expect([r.code, r.err.trim()]).toEqual([0, ''])
    expect(r.out).toContain('Messages: 0 fatals / 0 errors / 0 warnings / 0 infos')
    const own = await press('check', file, '--outlet', 'ostrevane', '--json')
    const { findings } = JSON.parse(own.out) as { findings: { rule: string }[] }
    // The cover is drawn at the size that the outlet asks.
    expect(findings).toEqual([])
    const epub = openEpub(new Uint8Array(readFileSync(file)))
    expect(properties(epub, 'schema:accessMode')).toEqual(['textual', 'visual', 'auditory'])
    expect(properties(epub, 'schema:accessibilityFeature')).toEqual(expect.arrayContaining(['transcript', 'captions']))
    expect(properties(epub, 'schema:accessibilityHazard')).toEqual(['unknown'])
  }, 60_000)

  test('goes without what an outlet does not take: stills, captions and words stay', async () => {
    const [sound, none] = [await made('harrowmere'), await made('pellowick')]
    expect([typesIn(sound), typesIn(none)]).toEqual([['audio/mpeg'], []])
    const text = new TextDecoder().decode(
      openEpub(new Uint8Array(readFileSync(none))).items.find(i => i.path.endsWith('s1.xhtml'))!.data,
    )
    expect(text).not.toMatch(/<(audio|video|source|track)/)
    expect(text.match(/<img [^>]*alt="The harbour bell"/g)).toHaveLength(2)
    for (const words of ['A bell rings.', 'Water laps.', 'A lamp swings.', 'The bell', 'The lamp'])
      expect(text).toContain(words)
    const findings = async (file: string, outlet: string): Promise<string[]> =>
      (
        JSON.parse((await press('check', file, '--outlet', outlet, '--json')).out) as { findings: { rule: string }[] }
      ).findings.map(f => f.rule)
    expect(await findings(none, 'pellowick')).toEqual([])
    expect(await findings(sound, 'pellowick')).toEqual(['recording'])
  }, 60_000)
})
