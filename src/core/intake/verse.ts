import { type InlineJson, inlineText } from '../book'
import { isSceneBreak } from './headings'
import type { RawBlock, RawPara } from './raw'

/** What styles of verse are called. */
const VERSE_STYLE =
  /verse|poem|poetry|stanza|gedicht|strophe|po[eé]sie|po[eé]me|poesia|poes[ií]a|dikt|wiersz|runo|vers\b/i
/** A line of verse has so many letters at most, and so many lines make a poem that nothing else says is one. */
const MOST_LETTERS = 70
const LEAST_LINES = 3
/** Points that make an em where the size of the letters is not known. */
const EM = 12

/** A line of verse as the manuscript has it. */
type RawLine = Extract<RawBlock, { type: 'verse' }>['lines'][number]

/** The paragraphs from `at` on that are verse, as its lines: those whose style says so, each a line or a stanza of lines; or one that is set in, and broken into short lines by hand. Undefined where it is prose. */
export function verseAt(raw: readonly RawBlock[], at: number): { lines: RawLine[]; paras: RawPara[] } | undefined {
  const first = raw[at]!
  if (!mayBeVerse(first)) return undefined
  if (!first.style || !VERSE_STYLE.test(first.style)) {
    if (!hasBreaks(first)) return undefined
    const lines = linesOf(first.content)
    const short = lines.length >= LEAST_LINES && lines.every(l => inlineText(l).length <= MOST_LETTERS)
    const apart = first.align === 'center' || (first.indent?.left ?? 0) > 0 || first.italic
    return short && apart ? { lines: versesOf(first, true, first.indent?.left ?? 0), paras: [first] } : undefined
  }
  const paras: RawPara[] = []
  for (let i = at; i < raw.length; i++) {
    const b = raw[i]!
    if (!mayBeVerse(b) || b.style !== first.style || (b.newPage && i > at)) break
    paras.push(b)
  }
  const least = Math.min(...paras.map(p => p.indent?.left ?? 0))
  return { lines: paras.flatMap((p, i) => versesOf(p, !i || !!p.gap || hasBreaks(p), least)), paras }
}

const mayBeVerse = (b: RawBlock): b is RawPara =>
  b.type === 'para' && !b.list && b.level === undefined && b.content.length > 0 && !isSceneBreak(inlineText(b.content))

const hasBreaks = ({ content }: RawPara): boolean => content.some(n => n.type === 'hard_break')

/** A paragraph's lines; `stanza`: a stanza begins with it. What it is set in farther than `least` its lines are. */
function versesOf({ content, indent, size }: RawPara, stanza: boolean, least: number): RawLine[] {
  const ems = Math.round(((indent?.left ?? 0) - least) / (size ?? EM))
  return linesOf(content).map((line, i) => {
    const [own, typed] = withoutSpaces(line)
    return { content: own, indent: Math.max(0, Math.min(20, ems + typed)), stanza: stanza && !i }
  })
}

function linesOf(content: readonly InlineJson[]): InlineJson[][] {
  const lines: InlineJson[][] = [[]]
  for (const n of content) {
    if (n.type === 'hard_break') lines.push([])
    else lines.at(-1)!.push(n)
  }
  return lines
}

/** A line without the spaces typed before it, and how many ems they were. */
function withoutSpaces(line: InlineJson[]): [InlineJson[], number] {
  const first = line[0]
  const typed = first?.type === 'text' ? /^[\s\u00a0\u2003]+/.exec(first.text)?.[0].length : 0
  if (first?.type !== 'text' || !typed) return [line, 0]
  const rest = { ...first, text: first.text.slice(typed) }
  return [rest.text ? [rest, ...line.slice(1)] : line.slice(1), Math.round(typed / 2)]
}
