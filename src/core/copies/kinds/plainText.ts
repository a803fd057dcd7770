import { strToU8 } from 'fflate'
import {
  type BlockJson,
  type InlineJson,
  type ItemJson,
  type ListJson,
  type ParagraphJson,
  slugOf,
  type VerseJson,
} from '@/core/book'
import { type CopyKind, Losses, markNames } from '../copyKind'

/** The words alone: a blank line between paragraphs, notes behind their section. */
export const plainText: CopyKind = {
  id: 'txt',
  name: 'plain text',
  keeps: 'The words alone, a blank line between paragraphs; notes stand behind their section, numbered.',
  make(source) {
    const losses = new Losses()
    const parts = source.sections.map(s => sectionText(s.doc.content, source.heading(s), losses))
    return {
      name: `${slugOf(source.book.data.title, 'book')}.txt`,
      type: 'text/plain;charset=utf-8',
      bytes: strToU8(`${parts.filter(Boolean).join('\n\n\n')}\n`),
      lost: losses.all,
    }
  },
}

function sectionText(blocks: readonly BlockJson[], heading: string, losses: Losses): string {
  const notes: string[] = []
  const inline = (content: readonly InlineJson[] | undefined): string =>
    (content ?? [])
      .map(n => {
        for (const m of n.marks ?? []) losses.add(markNames[m.type] ?? m.type)
        if (n.type === 'text') return n.text
        if (n.type === 'hard_break') return '\n'
        if (n.type === 'footnote') return `[${notes.push(inline(n.content))}]`
        losses.add('pictures')
        return n.attrs.alt ? `[${n.attrs.alt}]` : ''
      })
      .join('')
  const lines = (verse: VerseJson): string =>
    verse.content
      .map((l, i) => `${l.attrs.stanza && i ? '\n' : ''}${' '.repeat(Math.round(l.attrs.indent))}${inline(l.content)}`)
      .join('\n')
  const list = (l: ListJson, depth: number): string =>
    l.content
      .map((item: ItemJson, i) =>
        item.content
          .map((c, k) => {
            if (c.type === 'list') return list(c, depth + 1)
            const sign = k ? '  ' : l.attrs.ordered ? `${l.attrs.start + i}. ` : '– '
            return `${'  '.repeat(depth)}${sign}${inline(c.content)}`
          })
          .join('\n'),
      )
      .join('\n')
  const within = (content: readonly (ParagraphJson | ListJson | VerseJson)[]): string =>
    content.map(c => block(c)).join('\n\n')
  const block = (b: BlockJson): string => {
    switch (b.type) {
      case 'paragraph':
      case 'heading':
        return inline(b.content)
      case 'quote':
      case 'letter':
        return within(b.content)
      case 'verse':
        return lines(b)
      case 'list':
        return list(b, 0)
      case 'table':
        return b.content
          .map(r => r.content.map(c => c.content.map(p => inline(p.content)).join(' ')).join('\t'))
          .join('\n')
      case 'image': {
        losses.add(b.attrs.plays ? 'recordings' : 'pictures')
        const alt = b.attrs.decoration ? '' : b.attrs.alt
        return [alt && `[${alt}]`, inline(b.content)].filter(Boolean).join('\n')
      }
      case 'scene_break':
        return '* * *'
      case 'page_break':
        return ''
    }
  }
  const text = blocks.map(block).filter(Boolean).join('\n\n')
  const behind = notes.map((n, i) => `[${i + 1}] ${n}`).join('\n')
  return [heading, text, behind].filter(Boolean).join('\n\n')
}
