import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate'

/** A change that somebody makes in a word processor. */
export interface ChangeInWords {
  by: string
  /** As the file says it: "2026-11-20T09:30:00Z". */
  when: string
  gone: string
  came: string
}

/** A word-processor file in which words were changed with recording on, as word processors write it (ECMA-376, 17.13.5). */
export function changedDocx(bytes: Uint8Array, ...changes: ChangeInWords[]): Uint8Array {
  const parts = unzipSync(bytes)
  let text = strFromU8(parts['word/document.xml']!)
  changes.forEach(({ by, when, gone, came }, i) => {
    const at = new RegExp(
      `<w:r>(<w:rPr>(?:(?!</w:rPr>).)*</w:rPr>)?<w:t xml:space="preserve">([^<]*?)${gone}([^<]*)</w:t></w:r>`,
    )
    if (!at.test(text)) throw new Error(`“${gone}” is not there`)
    text = text.replace(at, (_all, look: string | undefined, before: string, behind: string) => {
      const run = (words: string, tag = 'w:t'): string =>
        words && `<w:r>${look ?? ''}<${tag} xml:space="preserve">${words}</${tag}></w:r>`
      const of = (n: number): string => `w:id="${9000 + 2 * i + n}" w:author="${by}" w:date="${when}"`
      const went = `<w:del ${of(0)}>${run(gone, 'w:delText')}</w:del>`
      const is = came && `<w:ins ${of(1)}>${run(came)}</w:ins>`
      return run(before) + went + is + run(behind)
    })
  })
  return zipSync({ ...parts, 'word/document.xml': strToU8(text) })
}
