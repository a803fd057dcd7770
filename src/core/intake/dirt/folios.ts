import { changedBlocks, type DirtKind } from './kind'

/** A line of a text as folios are told by it. */
export interface FolioLine {
  text: string
  words: number
}

/** A page has so many words, and a run of folios so many pages, at least. */
const PAGE = { least: 90, most: 700 }
const RUN = 4
/** Pages end within a sentence as often as this, chapters do not. */
const BROKEN = 0.25

/** Which lines are folios that were typed, or came with the pages of another program: numbers alone on their lines that count on from page to page, the text running on over them. */
export function typedFolios(lines: readonly FolioLine[]): Set<number> {
  const out = new Set<number>()
  let run: { at: number; n: number; broken: boolean }[] = []
  let words = 0
  const end = (): void => {
    if (run.length >= RUN && run.filter(r => r.broken).length >= run.length * BROKEN) for (const r of run) out.add(r.at)
    run = []
  }
  lines.forEach(({ text, words: more }, at) => {
    const n = folioOf(text)
    if (n === undefined) {
      words += more
      return
    }
    const last = run.at(-1)
    if (last && (n !== last.n + 1 || words < PAGE.least || words > PAGE.most)) end()
    run.push({ at, n, broken: !/[.!?…:;”’"')\]]\s*$/.test(before(lines, at)) })
    words = 0
  })
  end()
  return out
}

const before = (lines: readonly FolioLine[], at: number): string => {
  for (let i = at - 1; i >= 0; i--) if (lines[i]!.text.trim()) return lines[i]!.text
  return '.'
}

/** Whether a line may be a folio: a number, and nothing beside it. */
export const isFolio = (text: string): boolean => folioOf(text) !== undefined

function folioOf(text: string): number | undefined {
  if (text.length > 16) return undefined
  const m = /^[-–—[(\s]*(?:page\s+|p\.\s*)?(\d{1,4})[-–—\])\s]*$/i.exec(text)
  return m ? Number(m[1]) : undefined
}

export const folios: DirtKind = {
  id: 'folios',
  what: 'typed page numbers',
  does: 'taken out',
  tidy: (doc, { folios: known }) => {
    let letters = 0
    const found = changedBlocks(doc, b => {
      if (!known.has(b.attrs.id)) return b
      if (b.type === 'paragraph')
        letters += (b.content ?? []).reduce((n, c) => n + (c.type === 'text' ? c.text.replace(/\s/g, '').length : 0), 0)
      return []
    })
    return letters ? { ...found, letters } : found
  },
}
