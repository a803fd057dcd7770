import { strToU8, type Zippable, zipSync } from 'fflate'
import {
  type BlockJson,
  type InlineJson,
  type ListJson,
  type MarkJson,
  type Section,
  slugOf,
  type VerseJson,
} from '@/core/book'
import { type CopyFile, type CopyKind, type CopySource, losePicture, Losses, markNames } from '../copyKind'

/** Markdown as the app reads it: CommonMark with notes and tables, letters and verse in containers; with pictures beside it, as a ZIP. */
export const markdown: CopyKind = {
  id: 'md',
  name: 'Markdown',
  keeps:
    'Headings, bold and italic, quotes, verse, letters, lists, tables, notes and links; pictures lie beside it, in a ZIP.',
  make(source) {
    const losses = new Losses()
    const pictures = new Map<string, Uint8Array>()
    const { title, contributors, language } = source.book.data
    const author = contributors.find(c => c.role === 'aut')?.name
    const head = [
      '---',
      `title: ${oneLine(title)}`,
      ...(author ? [`author: ${oneLine(author)}`] : []),
      `lang: ${language}`,
      '---',
    ]
    let note = 0
    const parts = source.sections.map(s => sectionOf(s, source, { losses, pictures, note: () => ++note }))
    return filed(slugOf(title, 'book'), `${[head.join('\n'), ...parts].join('\n\n')}\n`, pictures, losses)
  },
}

const oneLine = (s: string): string => s.replace(/\s+/g, ' ')

function filed(name: string, text: string, pictures: Map<string, Uint8Array>, losses: Losses): CopyFile {
  const lost = losses.all
  if (!pictures.size) return { name: `${name}.md`, type: 'text/markdown', bytes: strToU8(text), lost }
  const files: Zippable = { [`${name}.md`]: strToU8(text) }
  for (const [path, picture] of pictures) files[path] = [picture, { level: 0 }]
  // The same book gives the same bytes.
  const bytes = zipSync(files, { mtime: '2000-01-01' })
  return { name: `${name}.zip`, type: 'application/zip', bytes, lost }
}

interface Out {
  losses: Losses
  pictures: Map<string, Uint8Array>
  note: () => number
}

/** Letters that Markdown gives a meaning. */
const escaped = (s: string): string => s.replace(/[\\`*_{}[\]<>#|~]/g, '\\$&').replace(/&(?=[#\w])/g, '\\&')
/** What begins a line that is no paragraph. */
const begun = (line: string): string =>
  line.replace(/^(\s*)([-+=:])/, '$1\\$2').replace(/^(\s*\d{1,9})([.)])/, '$1\\$2')

function sectionOf(s: Section, source: CopySource, out: Out): string {
  const notes: string[] = []
  const { inline, plain } = lineWriter(source, out, notes)
  const paragraph = (content: readonly InlineJson[] | undefined): string =>
    inline(content)
      // A break at an end breaks nothing.
      .replace(/^(?:\\\n)+|(?:\\\n)+$/g, '')
      .split('\n')
      .map(begun)
      .join('\n')
  const indented = (text: string, by: string): string => text.replace(/\n(?=[^\n])/g, `\n${by}`)
  const list = (l: ListJson): string =>
    l.content
      .map((item, i) => {
        const sign = l.attrs.ordered ? `${l.attrs.start + i}. ` : '- '
        return (
          sign +
          indented(
            item.content
              .map(c => (c.type === 'list' ? list(c) : paragraph(c.content)))
              .filter(Boolean)
              .join('\n\n'),
            ' '.repeat(sign.length),
          )
        )
      })
      .join('\n')
  const verse = (v: VerseJson): string =>
    `::: verse\n${v.content.map((l, i) => `${l.attrs.stanza && i ? '\n' : ''}${'\u00a0'.repeat(Math.round(l.attrs.indent))}${paragraph(l.content)}`).join('\n')}\n:::`
  const block = (b: BlockJson): string => {
    switch (b.type) {
      case 'paragraph':
        if (b.attrs.align) out.losses.add('alignments')
        return paragraph(b.content)
      case 'heading':
        return `${'#'.repeat(Math.min(6, b.attrs.level + 1))} ${plain(b.content)}`
      case 'quote':
        return `> ${indented(b.content.map(block).join('\n\n'), '').replace(/\n/g, '\n> ')}`
      case 'letter':
        return `::: letter\n${b.content.map(block).join('\n\n')}\n:::`
      case 'verse':
        return verse(b)
      case 'list':
        return list(b)
      case 'table':
        return table(b, plain, out.losses)
      case 'image':
        losePicture(out.losses, b.attrs)
        return [picture(b.attrs, source, out), plain(b.content) && `*${plain(b.content)}*`].filter(Boolean).join('\n\n')
      case 'scene_break':
        return '* * *'
      case 'page_break':
        out.losses.add('page breaks')
        return ''
    }
  }
  const heading = source.heading(s)
  return [heading && `# ${escaped(oneLine(heading))}`, ...s.doc.content.map(block), ...notes]
    .filter(Boolean)
    .join('\n\n')
}

const delimiters: Partial<Record<MarkJson['type'], string>> = { strong: '**', em: '*', strike: '~~' }

/** What writes a line: with its breaks, or on one line. Notes are gathered. */
function lineWriter(source: CopySource, out: Out, notes: string[]) {
  const piece = (n: InlineJson): string => {
    for (const m of n.marks ?? [])
      if (!delimiters[m.type] && !(m.type === 'link' && !m.attrs.href.startsWith('#')))
        out.losses.add(markNames[m.type] ?? m.type)
    if (n.type === 'hard_break') return '\\\n'
    if (n.type === 'footnote') {
      const number = out.note()
      notes.push(`[^${number}]: ${(n.content ?? []).map(piece).join('').replace(/\\\n/g, ' ').trim()}`)
      return `[^${number}]`
    }
    if (n.type === 'sign') return picture(n.attrs, source, out)
    const words = escaped(n.text)
    const link = n.marks?.find(m => m.type === 'link')
    return link && 'attrs' in link && 'href' in link.attrs && !link.attrs.href.startsWith('#')
      ? `[${words}](<${link.attrs.href.replace(/[<>\\]/g, encodeURIComponent)}>)`
      : words
  }
  const inline = (content: readonly InlineJson[] | undefined): string => {
    let line = ''
    const all = content ?? []
    all.forEach((n, i) => {
      const said = piece(n)
      const wants = n.type === 'text' ? (n.marks ?? []).flatMap(m => delimiters[m.type] ?? []) : []
      if (!wants.length) return void (line += said)
      // The signs stand at letters: spaces go outside of them.
      const [, before = '', inside = '', behind = ''] = /^(\s*)([\s\S]*?)(\s*)$/.exec(said)!
      const around = [line.at(-1) ?? ' ', (all[i + 1] && piecePreview(all[i + 1]!)) ?? ' ']
      if (inside && canStand(before ? ' ' : around[0]!, inside, behind ? ' ' : around[1]!))
        line += before + wants.join('') + inside + [...wants].reverse().join('') + behind
      else {
        if (inside) out.losses.add('bold or italic beside signs that allow no mark there')
        line += said
      }
    })
    return line
  }
  return { inline, plain: (content: readonly InlineJson[] | undefined) => inline(content).replace(/\\\n/g, ' ') }
}

/** The letter that a piece begins with; of one with marks of its own a sign that does not let others stand beside it. */
const piecePreview = (n: InlineJson): string =>
  n.type === 'text'
    ? n.marks?.some(m => delimiters[m.type]) && !/^\s/.test(n.text)
      ? '*'
      : n.text[0]!
    : n.type === 'hard_break'
      ? ' '
      : '['

const isSpace = (c: string): boolean => /\s/.test(c)
const isSign = (c: string): boolean => /[\p{P}\p{S}]/u.test(c)

/** Whether signs of emphasis may stand around words (CommonMark's rule of flanking). */
function canStand(before: string, inside: string, behind: string): boolean {
  if (before === '*' || behind === '*' || before === '~' || behind === '~') return false
  const [first, last] = [inside[0]!, inside.at(-1)!]
  return (!isSign(first) || isSpace(before) || isSign(before)) && (!isSign(last) || isSpace(behind) || isSign(behind))
}

function table(
  t: Extract<BlockJson, { type: 'table' }>,
  plain: (content: readonly InlineJson[] | undefined) => string,
  losses: Losses,
): string {
  const rows = t.content.map(r =>
    r.content.flatMap(c => {
      if (c.attrs.span > 1 || (c.attrs.rows ?? 1) > 1) losses.add('cells that reach over others')
      return [c.content.map(p => plain(p.content)).join(' '), ...Array.from({ length: c.attrs.span - 1 }, () => '')]
    }),
  )
  const width = Math.max(...rows.map(r => r.length))
  const line = (r: readonly string[]): string =>
    `| ${[...r, ...Array.from({ length: width - r.length }, () => '')].join(' | ')} |`
  const headed = t.content[0]?.attrs.head
  if (!headed) losses.add('tables without a head: an empty one stands there')
  const [head, ...rest] = headed ? rows : [[], ...rows]
  return [line(head!), `|${' --- |'.repeat(width)}`, ...rest.map(line)].join('\n')
}

function picture(
  { asset, alt, decoration }: { asset: string; alt: string; decoration: boolean },
  source: CopySource,
  { losses, pictures }: Out,
): string {
  const bytes = asset ? source.picture(asset) : undefined
  const type = source.book.assets.find(a => a.id === asset)?.type
  if (!bytes || !type) {
    if (asset) losses.add('pictures that are not there')
    return ''
  }
  const path = `pictures/${asset.slice(0, 12)}.${type.split('/')[1]!.replace('svg+xml', 'svg').replace('jpeg', 'jpg')}`
  pictures.set(path, bytes)
  return `![${decoration ? '' : escaped(oneLine(alt))}](${path})`
}
