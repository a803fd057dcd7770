import { afterAll, beforeAll, describe, expect, test } from '@jest/globals'
import { spawnSync } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { strToU8 } from 'fflate'
import { type BlockJson, type Book, brokenLinks, docText, innerLinks, linkTargets, schema } from '../book'
import { writeEpub } from '../epub'
import { decided, readManuscript, readManuscripts, sectionOfCandidate, type Understood } from '.'

/** What the links of a book say, and the words that they lead to. */
function leads({ sections }: Book): Record<string, string> {
  const targets = linkTargets(sections)
  return Object.fromEntries(
    sections
      .filter(s => !s.made)
      .flatMap(s =>
        innerLinks(s.doc).map(l => {
          const to = targets.get(l.to)
          const at = sections.find(x => x.id === to?.section)
          const block = at?.doc.content.find(b => b.attrs.id === to?.block) as BlockJson | undefined
          return [l.words, block ? docText({ type: 'doc', content: [block] }) : (at?.title ?? '')]
        }),
      ),
  )
}
const nowhere = (u: Understood): number =>
  u.dropped.filter(d => d.what.startsWith('links that lead nowhere')).reduce((n, d) => n + d.count, 0)

const written = `# The Bell

It rang: see [the rope](#the-rope), [the knot](#knot), [of tar](#of-tar), [nothing](#nothing).

[]{#knot}A knot was tied.

# The Rope

It frayed, as [the bell](#the-bell) told.

## Of tar

Black it was.[^1]

[^1]: See [the bell again](#the-bell).
`

describe('links inside a manuscript lead where they led', () => {
  let folder: string
  beforeAll(() => void (folder = mkdtempSync(join(tmpdir(), 'links-'))))
  afterAll(() => rmSync(folder, { recursive: true }))

  test.each(['docx', 'odt', 'html', 'epub', 'epub2'])('as another program writes them: %s', kind => {
    const ending = kind.replace(/2$/, '')
    const [from, to] = [join(folder, 'from.md'), join(folder, `to.${ending}`)]
    writeFileSync(from, written)
    const made = spawnSync('pandoc', [
      '--standalone',
      '--metadata',
      'title=The Bell and the Rope',
      '-t',
      kind,
      '-o',
      to,
      from,
    ])
    expect(made.status).toBe(0)
    const u = readManuscript(`to.${ending}`, new Uint8Array(readFileSync(to)))
    expect(brokenLinks(u.book.sections)).toEqual([])
    expect(leads(u.book)).toEqual({
      'the rope': 'The Rope',
      'the knot': 'A knot was tied.',
      'of tar': 'Of tar',
      'the bell': 'The Bell',
      'the bell again': 'The Bell',
    })
    expect(nowhere(u)).toBe(1)
    for (const s of u.book.sections) schema.nodeFromJSON(s.doc).check()

    // Taken for a section, what was led to is led to still; and so it is in an ebook of ours that comes back.
    const tar = u.candidates.find(c => c.title === 'Of tar')!
    const taken = decided(u.book, u.candidates, new Map([[sectionOfCandidate(tar), { taken: true as const }]]))
    expect(leads(taken)).toEqual(leads(u.book))
    const epub = writeEpub(taken, { date: '2026-01-01T00:00:00Z', picture: () => undefined })
    expect(leads(readManuscript('a.epub', epub).book)).toEqual(leads(u.book))
  })

  test('as plain signs write them, and each within its own file where several are one book', () => {
    const plain = written.replace('[]{#knot}', '').replace('[the knot](#knot)', 'the knot')
    const one = readManuscript('a.md', strToU8(plain))
    expect(leads(one.book)).toMatchObject({ 'the rope': 'The Rope', 'of tar': 'Of tar' })
    expect(nowhere(one)).toBe(1)
    const page = (name: string) =>
      `<h1>${name}</h1><p id="x">The first of ${name}.</p><p>See <a href="#x">${name} x</a>, <a href="gone.html">out</a>.</p><table><tr><td><a name="cell"></a>Cell</td><td>of ${name}</td></tr></table><p>And <a href="#cell">${name} cell</a>.</p>`
    const both = readManuscripts(['Ebb', 'Flood'].map(n => ({ name: `${n}.html`, bytes: strToU8(page(n)) })))
    expect(leads(both.book)).toEqual({
      'Ebb x': 'The first of Ebb.',
      'Ebb cell': 'Cell\nof Ebb',
      'Flood x': 'The first of Flood.',
      'Flood cell': 'Cell\nof Flood',
    })
    expect(nowhere(both)).toBe(2)
  })
})
