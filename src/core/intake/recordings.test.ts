import { describe, expect, test } from '@jest/globals'
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate'
import { bookOf, chapter, paragraph } from '../../../tests/support/core'
import { FRAME_SECONDS, silence } from '../../../tests/support/recordings'
import { type Book, hashOf, type ImageJson } from '../book'
import { writeEpub } from '../epub'
import { recordingTypeOf } from '../files'
import { asRecording, lookedInto, readManuscript, readManuscripts } from '.'

const mp3 = silence(100)
const png = Uint8Array.from(
  atob('iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg=='),
  c => c.charCodeAt(0),
)
const [bell, still] = [hashOf(mp3), hashOf(png)]
const TIMED = 'WEBVTT\n\n00:00.000 --> 00:02.000\nA bell rings.\n'

const figure = (attrs: Partial<ImageJson['attrs']>, caption?: string): ImageJson => ({
  type: 'image',
  attrs: { id: 'i1', asset: '', alt: 'The harbour bell', decoration: false, share: 1, plays: bell, ...attrs },
  ...(caption ? { content: [{ type: 'text', text: caption }] } : {}),
})
const bookWith = (f: ImageJson): Book => ({
  ...bookOf([]),
  assets: [{ id: still, type: 'image/png', width: 1, height: 1 }],
  recordings: [{ id: bell, type: 'audio/mpeg' }],
  sections: [
    chapter('s1', 'One', { type: 'doc', content: [paragraph('b1', 'It rang.'), f, paragraph('b2', 'Once.')] }),
  ],
})
const back = (f: ImageJson) => {
  const files: Record<string, Uint8Array> = { [bell]: mp3, [still]: png }
  const epub = writeEpub(bookWith(f), { date: '2026-03-09T04:10:00Z', picture: id => files[id] })
  return readManuscript('x.epub', epub)
}

describe('an ebook of our own comes back with its recordings', () => {
  test.each<[string, ImageJson]>([
    ['a sound alone', figure({})],
    ['a sound with its words and its caption', figure({ spoken: 'It rings.\n\nTwelve times.' }, 'The bell')],
    ['a sound with its still', figure({ asset: still, spoken: 'It rings.' }, 'The bell')],
    ['timed words', figure({ spoken: TIMED }, 'The bell')],
  ])('%s', (_what, f) => {
    const { book, pictures, dropped } = back(f)
    const found = book.sections.flatMap(s => s.doc.content).find(b => b.type === 'image')
    expect(found).toMatchObject({
      attrs: { asset: f.attrs.asset, plays: bell, alt: f.attrs.alt, ...(f.attrs.spoken && { spoken: f.attrs.spoken }) },
      ...(f.content && { content: f.content }),
    })
    expect(book.recordings).toMatchObject([{ id: bell, type: 'audio/mpeg' }])
    expect(pictures.get(bell)).toEqual(mp3)
    expect(dropped).toEqual([])
  })
})

describe('a page of HTML', () => {
  const read = (html: string) =>
    readManuscripts([
      { name: 'a.html', bytes: strToU8(`<h1>The Bell</h1><p>It rang.</p>${html}<p>Once.</p>`) },
      { name: 'bell.mp3', bytes: mp3 },
      { name: 'lamp.png', bytes: png },
    ])
  test('plays what lies beside it, with the first of its sources that ebooks play', () => {
    const { book, dropped } = read(
      '<video poster="lamp.png" aria-label="A lamp"><source src="lamp.avi"/><source src="bell.mp3"/>Your program is old.</video>',
    )
    const { content } = book.sections.find(x => !x.made)!.doc
    expect(content.map(b => b.type)).toEqual(['paragraph', 'image', 'paragraph'])
    expect(content[1]).toMatchObject({ attrs: { asset: still, plays: bell, alt: 'A lamp' } })
    expect(dropped).toMatchObject([{ what: 'words for devices that play no sound and film', count: 1 }])
  })
  test('that plays what is not there keeps its words, and says so', () => {
    const { book, dropped } = read(
      '<figure class="plays"><audio src="gone.mp3"></audio><details><summary>Words</summary><p>A bell rings.</p></details></figure>',
    )
    expect(JSON.stringify(book.sections)).toContain('A bell rings.')
    expect(dropped.map(d => d.what).sort()).toEqual([
      'pictures that no text names',
      'recordings that no text names',
      'sound and film that are not in the file, or that no ebook plays',
    ])
  })
  test('loses no words of a recording: others than its timed ones are text, further ones are counted', () => {
    const { book, dropped } = readManuscripts([
      {
        name: 'a.html',
        bytes: strToU8(
          '<h1>The Bell</h1><p>It rang.</p><figure class="plays"><audio src="bell.mp3"><track src="a.vtt"/><track src="gone.vtt"/></audio><details><summary>Words</summary><p>Quite other words.</p></details></figure>',
        ),
      },
      { name: 'bell.mp3', bytes: mp3 },
      { name: 'a.vtt', bytes: strToU8('no words with times') },
    ])
    const { content } = book.sections.find(x => !x.made && x.title === 'The Bell')!.doc
    // Where none are timed, those below are the recording's.
    expect(content[1]).toMatchObject({ attrs: { plays: bell, spoken: 'Quite other words.' } })
    expect(dropped.find(d => d.what.startsWith('words of recordings'))).toMatchObject({ count: 2 })
    const timed = writeEpub(bookWith(figure({ spoken: TIMED })), {
      date: '2026-03-09T04:10:00Z',
      picture: id => (id === bell ? mp3 : png),
    })
    const files = unzipSync(timed)
    const page = 'OEBPS/text/s1.xhtml'
    const changed = strFromU8(files[page]!).replace('<p>A bell rings.</p>', '<p>A gong booms.</p>')
    const back = readManuscript('x.epub', zipSync({ ...files, [page]: strToU8(changed) }))
    expect(JSON.stringify(back.book.sections)).toContain('A gong booms.')
    expect(JSON.stringify(back.book.sections)).toContain('A bell rings.')
  })
  test('is none where it is a recording itself', () =>
    expect(() => readManuscript('bell.mp3', mp3)).toThrow('This is a sound or a film, not a manuscript.'))
})

describe('a recording', () => {
  const box = (type: string, brand: string): Uint8Array => strToU8(`\0\0\0\x18${type}${brand}\0\0\0\0`)
  test('is told by its first bytes', () => {
    expect(recordingTypeOf(mp3)).toBe('audio/mpeg')
    expect(recordingTypeOf(strToU8('ID3\x04'))).toBe('audio/mpeg')
    expect(recordingTypeOf(box('ftyp', 'M4A '))).toBe('audio/mp4')
    expect(recordingTypeOf(box('ftyp', 'isom'))).toBe('video/mp4')
    expect(recordingTypeOf(strToU8(`OggS${'\0'.repeat(24)}OpusHead`))).toBe('audio/ogg; codecs=opus')
    // Older sound in the same container is none that ebooks play; nor are pictures and texts.
    for (const other of [strToU8(`OggS${'\0'.repeat(24)}\x01vorbis`), png, strToU8('It rang.'), new Uint8Array()])
      expect(recordingTypeOf(other)).toBeUndefined()
  })
  test('says how long it plays; what cannot be read is damaged, whatever it was thought', async () => {
    const read = await lookedInto({ ...asRecording(mp3, 'bell.mp3')!, damaged: true }, mp3)
    expect(read).toEqual({ id: bell, type: 'audio/mpeg', name: 'bell.mp3', seconds: expect.any(Number) })
    expect(Math.abs(read.seconds! - 100 * FRAME_SECONDS)).toBeLessThan(0.1)
    const torn = box('ftyp', 'isom')
    expect(await lookedInto(asRecording(torn)!, torn)).toMatchObject({ damaged: true })
  })
})
