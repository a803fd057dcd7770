import { Fault } from '../trade'

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
