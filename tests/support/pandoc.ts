import { spawnSync } from 'node:child_process'

/** What pandoc calls a kind of file, by its ending. */
export const pandocKinds: Record<string, string> = {
  docx: 'docx',
  odt: 'odt',
  epub: 'epub',
  html: 'html',
  htm: 'html',
  xhtml: 'html',
}

/** The words that pandoc reads in a file, notes and all; those of formulas and of descriptions of pictures left out. Undefined where it cannot read it. */
export function pandocWords(path: string, kind: string): string[] | undefined {
  const r = spawnSync('pandoc', ['-f', kind, '-t', 'json', path], { encoding: 'utf8', maxBuffer: 1 << 28 })
  if (r.status !== 0) return undefined
  const out: string[] = []
  /** Neighbouring words are one where nothing parts them. */
  let open = ''
  const end = (): void => {
    if (open) out.push(open)
    open = ''
  }
  const walk = (node: unknown): void => {
    if (Array.isArray(node)) return node.forEach(walk)
    if (!node || typeof node !== 'object') return
    const { t, c } = node as { t?: string; c?: unknown }
    if (t === 'Str') open += String(c)
    else if (t === 'Code' || t === 'CodeBlock') {
      open += (c as [unknown, string])[1]
      if (t === 'CodeBlock') end()
    } else if (t === 'Space' || t === 'SoftBreak' || t === 'LineBreak') end()
    else if (t === 'Image' || t === 'Math' || t === 'RawInline' || t === 'RawBlock') return
    else if (t === 'Note') {
      const before = open
      open = ''
      walk(c)
      end()
      open = before
    } else {
      const block = t !== undefined && BLOCKS.has(t)
      if (block) end()
      walk(c ?? Object.values(node))
      if (block) end()
    }
  }
  walk((JSON.parse(r.stdout) as { blocks: unknown }).blocks)
  end()
  return out.flatMap(wordsOf)
}

const BLOCKS = new Set(
  'Plain Para Header LineBlock BlockQuote OrderedList BulletList DefinitionList Table Div Figure'.split(' '),
)

/** Words of two letters and more, as they are held against each other. */
export const wordsOf = (text: string): string[] =>
  text
    .normalize('NFKC')
    .toLowerCase()
    .replace(/[\u00ad\u200b]/g, '')
    .match(/[\p{L}\p{M}]{2,}/gu) ?? []

/** Words of some that are not among others, as often as they lack. */
export function lacking(wanted: readonly string[], had: readonly string[]): string[] {
  const left = new Map<string, number>()
  for (const w of had) left.set(w, (left.get(w) ?? 0) + 1)
  return wanted.filter(w => {
    const n = left.get(w) ?? 0
    if (n) left.set(w, n - 1)
    return !n
  })
}
