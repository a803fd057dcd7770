import { inlineText, printedLanguages, printedWords, type Role, type TitleData } from '../book'
import { parseIsbn } from '../trade'
import type { RawBlock, RawPara } from './raw'

interface PreludePiece {
  role?: Role
  blocks: RawBlock[]
  why: string
  isbn?: string
}

/** What stands before the first section: a typed title page (read into the data), copyright, dedication, epigraph, or prose. */
export function readPrelude(blocks: RawBlock[], data: TitleData): PreludePiece[] {
  const out: PreludePiece[] = []
  const rest: RawBlock[] = []
  const copyright: RawBlock[] = []
  let isbn: string | undefined
  const titlePage: RawBlock[] = []
  const intoData = (b: RawBlock): void => void titlePage.push(b)
  const largest = Math.max(0, ...blocks.map(b => (b.type === 'para' ? (b.size ?? 0) : 0)))
  for (const b of blocks) {
    if (b.type !== 'para') {
      rest.push(b)
      continue
    }
    const text = inlineText(b.content).replace(/\s+/g, ' ').trim()
    const by = /^(?:a novel )?(?:by|written by)\s+(\p{Lu}[\p{L}.'’ -]{2,60})$/iu.exec(text)
    if (
      /©|\(c\)\s*\d{4}|\bcopyright\b|\bISBN\b|first published|no part of this/i.test(text) ||
      reservedIn(text) ||
      (copyright.length && /^(published|printed|cover|edited|www\.|https?:)/i.test(text))
    ) {
      copyright.push(b)
      isbn ??= findIsbn([b])
      const year = /(?:©|copyright)\D{0,20}((?:19|20)\d\d)/i.exec(text)
      if (year) data.year = Number(year[1])
      const reserved = text.length < 200 ? reservedIn(text) : undefined
      if (reserved) data.rights ??= reserved
    } else if (!data.title && isTitle(b, text, largest)) {
      data.title = text
      intoData(b)
    } else if (by && text.length < 80) {
      // The line above a by-line is the title, whatever it looks like.
      const above = rest[rest.length - 1]
      if (!data.title && above?.type === 'para' && inlineText(above.content).length <= 100) {
        data.title = inlineText(above.content).trim()
        rest.pop()
        intoData(above)
      }
      data.contributors = [{ name: by[1]!.trim(), role: 'aut' }]
      intoData(b)
    } else if (/^subtitle$/i.test(b.style ?? '') && data.title) {
      data.subtitle ??= text
      intoData(b)
    } else if (/^author$/i.test(b.style ?? '') && !data.contributors.length) {
      data.contributors = [{ name: text, role: 'aut' }]
      intoData(b)
    } else if (/^date$/i.test(b.style ?? '')) intoData(b)
    else rest.push(b)
  }
  if (titlePage.length)
    out.push({ role: 'title-page', blocks: titlePage, why: 'says the title before the first heading' })
  if (copyright.length)
    out.push({ role: 'copyright', blocks: copyright, why: 'speaks of copyright', ...(isbn ? { isbn } : {}) })
  const words = rest.reduce((n, b) => n + (b.type === 'para' ? inlineText(b.content).split(/\s+/).length : 20), 0)
  const dedication = rest.findIndex(
    b =>
      b.type === 'para' &&
      /^(for|to)\s+\p{L}/iu.test(inlineText(b.content)) &&
      inlineText(b.content).split(/\s+/).length <= 20 &&
      words < 80,
  )
  if (dedication >= 0) {
    out.push({ role: 'dedication', blocks: [rest[dedication]!], why: 'a short line that begins with “For”' })
    rest.splice(dedication, 1)
  }
  if (rest.length)
    out.push(
      words < 80
        ? { role: 'epigraph', blocks: rest, why: 'a few lines before the first heading' }
        : { role: 'prologue', blocks: rest, why: 'prose before the first heading' },
    )
  return out
}

/** How books of any language say that rights are reserved, without the stop. */
const RESERVED = printedLanguages.map(l => printedWords(l).rights.replace(/\.$/, '').toLowerCase())

/** The sentence that says, in any language, that rights are reserved. */
function reservedIn(text: string): string | undefined {
  const lower = text.toLowerCase()
  for (const words of RESERVED) {
    const at = lower.indexOf(words)
    if (at < 0) continue
    const before = text.slice(0, at)
    const from = Math.max(before.lastIndexOf('.'), before.lastIndexOf('©')) + 1
    const end = at + words.length
    return text.slice(from, text[end] === '.' ? end + 1 : end).trim()
  }
  return undefined
}

function isTitle(b: RawPara, text: string, largest: number): boolean {
  if (text.length > 120) return false
  return (
    b.level === 0 ||
    (b.level === 1 && text.length < 90) ||
    (!!b.size && b.size === largest && b.size >= 15 && (b.align === 'center' || !!b.bold))
  )
}

export function findIsbn(blocks: RawBlock[]): string | undefined {
  for (const b of blocks) {
    if (b.type !== 'para') continue
    for (const m of inlineText(b.content).matchAll(/97[89][\d\s‐–-]{10,16}\d|\b\d[\d\s-]{8,12}[\dX]\b/g)) {
      const isbn = parseIsbn(m[0])
      if (isbn) return isbn
    }
  }
  return undefined
}
