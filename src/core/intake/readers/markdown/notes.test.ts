import { describe, expect, test } from '@jest/globals'
import { bookText } from '@/core/book'
import { readManuscript } from '../../read'

const read = (source: string) => readManuscript('a.md', new TextEncoder().encode(source))
/** Every text of the book with its notes, as JSON says it. */
const all = (source: string): string => JSON.stringify(read(source).book.sections)
const what = (source: string): string[] => read(source).dropped.map(d => `${d.count} ${d.what}`)

describe('words of Markdown', () => {
  test('a word stays in whatever form it stands', () => {
    const forms = [
      'plainword',
      '# headword',
      '> quoteword\n>\n> > deepword',
      '- itemword\n  - innerword\n\n  ```\n  fencedword\n  ```',
      '1. firstword\n\n       codedword',
      '| headcell | b |\n|---|---|\n| cellword | c |',
      '```\ncodeword\n```',
      '    indentedword',
      '::: letter\nletterword\n:::',
      '::: verse\nverseword\nlineword\n:::',
      '[linkword](https://example.org)',
      '<b>htmlword</b>',
      '~~struckword~~',
      '`tickword`',
      'An inline note^[inlineword with *starred*].',
      'A call[^n].\n\n[^n]: noteword\n\n    secondword\n\n        notecode\n\n    - notelist',
      'Outer[^o].\n\n[^o]: outerword calls[^i].\n\n[^i]: nestedword',
      '[^u]: uncalledword',
      'Twice[^t].\n\n[^t]: onceword\n\n[^t]: againword',
    ]
    for (const form of forms)
      for (const word of form.match(/[a-z]+(?:word|cell|starred|notecode|notelist)\b/g) ?? [])
        expect([form, all(`# One\n\nText.\n\n${form}\n\nEnd.\n`).includes(word)]).toEqual([form, true])
  })
  test('notes that nothing calls stay where they stand, nested ones in brackets; both are said', () => {
    expect(what('# A\n\nText.\n\n[^u]: uncalled\n')).toEqual([
      '1 notes that nothing calls: they are kept as paragraphs',
    ])
    expect(bookText(read('# A\n\nText.\n\n[^u]: uncalled\n\nAfter.\n').book)).toMatch(/Text\.\s+uncalled\s+After\./)
    expect(what('# A\n\nSome words were said[^1].\n\n[^1]: first[^2]\n\n[^2]: second\n')).toEqual([
      '1 notes within notes: they stand there in brackets',
    ])
    expect(all('# A\n\nSome words were said[^1].\n\n[^1]: first[^2]\n\n[^2]: second\n')).toContain(' [second]')
    expect(what('# A\n\nSome words were said[^1].\n\n[^1]: round[^1]\n')).toEqual([
      '1 notes within notes: they stand there in brackets',
    ])
  })
  test('a note that is called twice stands at both calls, as its text says', () => {
    const json = all('# A\n\nSome words[^1] were said[^1].\n\n[^1]: twofold\n')
    expect(json.split('twofold')).toHaveLength(3)
  })
  test('notes that call one another twofold are refused before they fill memory', () => {
    const chain = Array.from({ length: 60 }, (_, i) => `[^${i}]: word[^${i + 1}] and[^${i + 1}]`).join('\n\n')
    expect(() => read(`# A\n\nSome words were said[^0].\n\n${chain}\n\n[^60]: end\n`)).toThrow(/without end/)
  })
})
