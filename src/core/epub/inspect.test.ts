import { describe, expect, test } from '@jest/globals'
import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate'
import { bookOf } from '../../../tests/support/core'
import { inspectEpub, writeEpub } from '.'

const made = writeEpub(bookOf([['The tide came in.', 'And out.']]), {
  date: '2026-01-01T00:00:00Z',
  picture: () => undefined,
})
const files = unzipSync(made)
const chapter = Object.keys(files).find(f => /text\/s\d+\.xhtml$/.test(f) && strFromU8(files[f]!).includes('The tide'))!
const opf = Object.keys(files).find(f => f.endsWith('.opf'))!
/** The ebook with a file of it changed by hand. */
const changed = (file: string, from: string | RegExp, to: string) =>
  inspectEpub(zipSync({ ...files, [file]: strToU8(strFromU8(files[file]!).replace(from, to)) }))
const declare = (properties: string) =>
  strFromU8(files[opf]!).replace(
    new RegExp(`(href="${chapter.split('/').slice(-2).join('/')}"[^>]*?)/>`),
    `$1 properties="${properties}"/>`,
  )

describe('a made ebook', () => {
  test('of ours has nothing to say against', () => expect(inspectEpub(made)).toEqual([]))
  test.each([
    ['an element', '<p', '<script>alert(1)</script><p', 'script'],
    ['in another namespace', '<p', '<svg:script xmlns:svg="http://www.w3.org/2000/svg"/><p', 'script'],
    ['a handler', '<p', '<p onclick="alert(1)"', 'onclick'],
    ['an address', '<p', '<a href=" java&#10;script:alert(1)">x</a><p', 'href=" java\nscript:alert(1)"'],
  ])('a script as %s is found, and that nobody declared it', (_how, from, to, what) => {
    const found = changed(chapter, from, to)
    expect(found).toContainEqual({ kind: 'script', file: chapter, what })
    if (what === 'script' || what === 'onclick')
      expect(found).toContainEqual({ kind: 'undeclared', file: chapter, what: 'scripted' })
  })
  test.each([
    ['svg', '<svg xmlns="http://www.w3.org/2000/svg"/>'],
    ['mathml', '<math xmlns="http://www.w3.org/1998/Math/MathML"/>'],
    ['remote-resources', '<img src="https://example.org/a.png" alt=""/>'],
    ['scripted', '<form action="#"/>'],
  ])('%s that is used is declared, and declared only where it is used', (property, markup) => {
    expect(changed(chapter, '<p', `${markup}<p`)).toEqual([{ kind: 'undeclared', file: chapter, what: property }])
    const both = { ...files, [opf]: strToU8(declare(property)) }
    expect(
      inspectEpub(zipSync({ ...both, [chapter]: strToU8(strFromU8(files[chapter]!).replace('<p', `${markup}<p`)) })),
    ).toEqual([])
    expect(inspectEpub(zipSync(both))).toEqual([{ kind: 'unused', file: chapter, what: property }])
  })
  test('what cannot be read is said', () => {
    expect(changed(chapter, '</body>', '')).toEqual([{ kind: 'malformed', file: chapter, what: 'not well-formed' }])
    const { [opf]: _gone, ...rest } = files
    expect(inspectEpub(zipSync(rest))).toMatchObject([{ kind: 'malformed', file: 'META-INF/container.xml' }])
  })
})
