import type { InlineJson } from '../book'
import { propose, TAKEN } from './headings'
import { DropCounter, type RawBlock, type RawManuscript } from './raw'

/** Blocks from the beginning of a file among which its heading is looked for. */
const NEAR = 4

/** Several manuscripts as one, each beginning on a page of its own; one that begins with no heading is named by its file. */
export function inOrder(files: readonly { name: string; raw: RawManuscript }[]): RawManuscript {
  if (files.length === 1) return files[0]!.raw
  const whole: RawManuscript & { remade: DropCounter } = {
    blocks: [],
    pictures: new Map(),
    meta: {},
    dropped: new DropCounter(),
    remade: new DropCounter(),
  }
  files.forEach(({ name, raw }, i) => {
    const apart = (key: string): string => `${i}/${key}`
    const blocks = raw.blocks.map(b => renamed(b, apart))
    const begins = blocks.slice(0, NEAR).some((b, at) => (propose(b, at, raw.bodySize ?? 0)?.score ?? 0) >= TAKEN)
    if (!begins)
      whole.blocks.push({ type: 'section', role: 'chapter', title: titleOf(name), why: `the file “${name}” begins` })
    else if (i) turnPage(blocks)
    whole.blocks.push(...blocks)
    for (const [key, bytes] of raw.pictures) whole.pictures.set(apart(key), bytes)
    whole.meta = { ...raw.meta, ...defined(whole.meta) }
    whole.bodySize ??= raw.bodySize
    whole.dropped.take(raw.dropped, name)
    if (raw.remade) whole.remade.take(raw.remade, name)
  })
  // What the first file calls itself is the name of a chapter.
  delete whole.meta.title
  return whole
}

/** "03_The-Lamp.docx" is called "The Lamp". */
const titleOf = (name: string): string =>
  name
    .replace(/\.[^.]*$/, '')
    .replace(/[_-]+/g, ' ')
    .replace(/^\s*\d+[\s.)]*/, '')
    .trim() || name.replace(/\.[^.]*$/, '')

/** The first words of a file begin a page. */
function turnPage(blocks: RawBlock[]): void {
  const first = blocks.findIndex(b => b.type === 'para')
  const b = blocks[first]
  if (b?.type === 'para') blocks[first] = { ...b, newPage: true, newFile: true }
}

/** A block whose pictures, lists and names are told from those of other files. */
function renamed(of: RawBlock, apart: (key: string) => string): RawBlock {
  const b = of.anchors ? { ...of, anchors: of.anchors.map(apart) } : of
  switch (b.type) {
    case 'para':
      return {
        ...b,
        content: signsOf(b.content, apart),
        ...(b.list ? { list: { ...b.list, key: apart(b.list.key) } } : {}),
      }
    case 'picture':
      return {
        ...b,
        key: b.key && apart(b.key),
        ...(b.caption ? { caption: signsOf(b.caption, apart) } : {}),
        ...(b.plays ? { plays: { ...b.plays, key: apart(b.plays.key) } } : {}),
      }
    case 'container':
      return { ...b, blocks: b.blocks.map(x => renamed(x, apart)) }
    case 'verse':
      return { ...b, lines: b.lines.map(l => ({ ...l, content: signsOf(l.content, apart) })) }
    case 'table':
      return {
        ...b,
        table: {
          ...b.table,
          content: b.table.content.map(r => ({
            ...r,
            content: r.content.map(c => ({
              ...c,
              content: c.content.map(p => (p.content ? { ...p, content: signsOf(p.content, apart) } : p)),
            })),
          })),
        },
      }
    default:
      return b
  }
}

const signsOf = (content: InlineJson[], apart: (key: string) => string): InlineJson[] =>
  content.map(n => {
    const own = withLinksApart(n, apart)
    if (own.type === 'footnote' && own.content)
      return { ...own, content: own.content.map(c => withLinksApart(c, apart)) }
    return own.type === 'sign' ? { ...own, attrs: { ...own.attrs, asset: apart(own.attrs.asset) } } : own
  })

/** A link inside its file leads nowhere in another. */
const withLinksApart = <T extends InlineJson>(n: T, apart: (key: string) => string): T =>
  n.marks?.some(m => m.type === 'link' && m.attrs.href.startsWith('#'))
    ? {
        ...n,
        marks: n.marks.map(m =>
          m.type === 'link' && m.attrs.href.startsWith('#')
            ? { ...m, attrs: { href: `#${apart(m.attrs.href.slice(1))}` } }
            : m,
        ),
      }
    : n

const defined = <T extends object>(o: T): Partial<T> =>
  Object.fromEntries(Object.entries(o).filter(([, v]) => v !== undefined)) as Partial<T>
