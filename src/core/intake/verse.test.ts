import { describe, expect, test } from '@jest/globals'
import type { BlockJson } from '../book'
import { Ids, inlineText } from '../book'
import { toDoc } from './convert'
import { DropCounter, type RawBlock, type RawPara } from './raw'

const para = (text: string, more: Partial<RawPara> = {}): RawPara => ({
  type: 'para',
  content: text
    .split('\n')
    .flatMap((t, i) => [
      ...(i ? [{ type: 'hard_break' as const }] : []),
      ...(t ? [{ type: 'text' as const, text: t }] : []),
    ]),
  ...more,
})
const read = (...raw: RawBlock[]): BlockJson[] =>
  toDoc(
    raw,
    {
      ids: new Ids(0),
      pictures: new Map(),
      dropped: new DropCounter(),
      into: { assets: new Map(), recordings: new Map(), cleaned: new DropCounter(), empty: 0 },
      counted: new Map(),
      placed: new Map(),
      anchors: new Map(),
    },
    0,
  ).content
const poem = (b: BlockJson | undefined) =>
  b?.type === 'verse' ? b.content.map(l => [inlineText(l.content), l.attrs.indent, l.attrs.stanza]) : b?.type

describe('verse in a manuscript', () => {
  test('a style says it: each paragraph a line, a stanza behind a gap, what is set in farther in ems', () => {
    const style = 'Verse Text'
    const [, verse, prose] = read(
      para('She read it out.'),
      para('The tide comes in,', { style }),
      para('the tide goes out,', { style, indent: { left: 24, right: 0 } }),
      para('and nobody', { style, gap: 1 }),
      para('is the wiser.', { style }),
      para('Then she stopped.'),
    )
    expect(poem(verse)).toEqual([
      ['The tide comes in,', 0, true],
      ['the tide goes out,', 2, false],
      ['and nobody', 0, true],
      ['is the wiser.', 0, false],
    ])
    expect(prose?.type).toBe('paragraph')
  })
  test('lines broken by hand are stanzas each, in a style or set in; typed spaces are their indents', () => {
    const lines = 'The tide comes in,\n    the tide goes out,\nand nobody knows.'
    const told = [
      ['The tide comes in,', 0, true],
      ['the tide goes out,', 2, false],
      ['and nobody knows.', 0, false],
    ]
    expect(poem(read(para(lines, { indent: { left: 36, right: 0 } }))[0])).toEqual(told)
    const style = 'Gedicht'
    expect(poem(read(para(lines, { style }), para(lines, { style }))[0])).toEqual([...told, ...told])
  })
  test('a typed break between poems of a style is a break', () => {
    const style = 'Poem'
    expect(
      read(para('One line,', { style }), para('* * *', { style }), para('another.', { style })).map(b => b.type),
    ).toEqual(['verse', 'scene_break', 'verse'])
  })
  test('prose with a line broken is prose: two lines, long ones, flush ones, lists, headings', () => {
    const set = { indent: { left: 36, right: 0 } }
    for (const b of [
      para('Merrow Sound,\nthe ninth of March', set),
      para(`One\n${'a long line of it '.repeat(6)}\nThree`, set),
      para('12 Chandler Row\nMerrow Sound\nnear Carrow'),
      para('One\nTwo\nThree', { style: 'Universal Text' }),
    ])
      expect(read(b)[0]?.type).toBe('paragraph')
    expect(read(para('Verse', { style: 'Verse', level: 1 }))[0]?.type).toBe('heading')
  })
})
