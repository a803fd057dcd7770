/** Something of the author's that an ebook goes without. */
export interface LeftOut {
  /** Their style sheet; the words of a page that was made elsewhere. */
  kind: 'sheet' | 'wordless'
  /** The line of the sheet, or the name of the page's file. */
  where: string
  why: string
}
