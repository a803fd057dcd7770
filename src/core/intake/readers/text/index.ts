import { DropCounter, type RawBlock, type RawManuscript } from '../../raw'

/**
 * Reads plain text. Paragraphs are parted by blank lines where the text has them (lines inside are then one paragraph,
 * unless they are short and unlike prose: verse); else every line is a paragraph. A form feed is a page's end.
 */
export function readPlainText(text: string): RawManuscript {
  const lines = text.split('\n')
  const filled = lines.filter(l => l.trim()).length
  const blank = lines.filter(l => !l.trim()).length
  const wrapped = blank > 0 && filled > 2 && wrappedProse(lines)
  const blocks: RawBlock[] = []
  let newPage = false
  const para = (t: string): void => {
    const clean = t.replace(/[\t ]+/g, ' ').trim()
    if (!clean) return
    blocks.push({ type: 'para', content: [{ type: 'text', text: clean }], ...(newPage ? { newPage } : {}) })
    newPage = false
  }
  let open: string[] = []
  const flush = (): void => {
    if (open.length) para(open.join(' '))
    open = []
  }
  for (const raw of lines) {
    const pieces = raw.split('\f')
    pieces.forEach((piece, i) => {
      if (i > 0) {
        flush()
        newPage = true
      }
      if (!piece.trim()) flush()
      else if (wrapped) {
        // An indented line begins a paragraph even without a blank line.
        if (/^(\t| {3,})\S/.test(piece) && open.length) flush()
        open.push(piece.trim())
      } else para(piece)
    })
  }
  flush()
  return { blocks, pictures: new Map(), meta: {}, dropped: new DropCounter() }
}

/** Whether lines are wrapped by hand: most lines inside paragraphs are of like length, near the longest. */
function wrappedProse(lines: string[]): boolean {
  let inner = 0
  let long = 0
  let longest = 0
  for (const l of lines) longest = Math.max(longest, l.length)
  for (let i = 0; i < lines.length - 1; i++)
    if (lines[i]!.trim() && lines[i + 1]!.trim()) {
      inner++
      if (lines[i]!.length > Math.min(longest, 100) * 0.6) long++
    }
  return inner > 0 && longest <= 120 && long / inner > 0.5
}
