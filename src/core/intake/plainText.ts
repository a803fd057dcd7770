import { Fault } from '../trade'
import { DropCounter, type RawBlock, type RawManuscript } from './raw'

/** Decodes text by its mark, as UTF-8, or as Windows-1252 where it is not UTF-8. Refuses what is not text. */
export function decodeText(bytes: Uint8Array): string {
  let text: string
  if (bytes[0] === 0xff && bytes[1] === 0xfe) text = new TextDecoder('utf-16le').decode(bytes.subarray(2))
  else if (bytes[0] === 0xfe && bytes[1] === 0xff) text = new TextDecoder('utf-16be').decode(bytes.subarray(2))
  else {
    let zeros = 0
    for (let i = 0; i < Math.min(bytes.length, 65536); i++) if (bytes[i] === 0) zeros++
    if (zeros) throw new Fault('not-text', 'This is no text: it holds bytes that no text has.')
    try {
      text = new TextDecoder('utf-8', { fatal: true }).decode(bytes)
    } catch {
      text = windows1252(bytes)
    }
  }
  return text
    .replace(/^\ufeff/, '')
    .replace(/\r\n?/g, '\n')
    .replace(/[\u0000-\u0008\u000b\u000e-\u001f]/g, '')
}

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

// Node decodes this encoding as Latin-1 and loses its quotes and dashes, so the 32 signs that differ are mapped here (WHATWG Encoding, index windows-1252).
const differs = '€\u0081‚ƒ„…†‡ˆ‰Š‹Œ\u008dŽ\u008f\u0090‘’“”•–—˜™š›œ\u009džŸ'

function windows1252(bytes: Uint8Array): string {
  let out = ''
  for (let i = 0; i < bytes.length; i += 8192) {
    let part = ''
    for (const b of bytes.subarray(i, i + 8192))
      part += b >= 0x80 && b < 0xa0 ? differs[b - 0x80] : String.fromCharCode(b)
    out += part
  }
  return out
}
