import type { CssNode } from 'css-tree'
import parse from 'css-tree/parser'
import walk from 'css-tree/walker'

/** Something that an author's own style sheet must not have, and where. Lines are counted from 1. */
export interface SheetFault {
  line: number
  says: string
}

/** Letters of the longest sheet. */
export const LONGEST_SHEET = 100_000

/** What keeps an author's style sheet out of an ebook: what is no CSS, and what EPUB or its readers do not take (EPUB 3.3, 6.3). None where it may go in. */
export function sheetFaults(css: string): SheetFault[] {
  if (css.length > LONGEST_SHEET) return [{ line: 1, says: 'It is longer than any style sheet of a book.' }]
  const faults: SheetFault[] = []
  const found = (node: CssNode | undefined, says: string): void =>
    void faults.push({ line: node?.loc?.start.line ?? 1, says })
  const ast = parse(css, {
    positions: true,
    onParseError: e => faults.push({ line: e.line, says: `This is no CSS: ${e.message.replace(/\.?$/, '.')}` }),
  })
  walk(ast, node => {
    if (node.type === 'Atrule' && node.name === 'import') found(node, 'It may not load another sheet.')
    if (node.type === 'Atrule' && node.name === 'charset') found(node, 'It is saved as UTF-8: it may not say another.')
    if (node.type === 'Url')
      found(node, 'It may not load a file: pictures stand in the text, faces come with the style.')
    // Which way a text runs is the text's to say, not its look's.
    if (node.type === 'Declaration' && /^(direction|unicode-bidi)$/i.test(node.property))
      found(node, `“${node.property}” may not stand in an ebook’s style sheet.`)
    if (node.type === 'Declaration' && /^position$/i.test(node.property) && 'children' in node.value)
      for (const v of node.value.children)
        if (v.type === 'Identifier' && /^(fixed|sticky)$/i.test(v.name))
          found(node, `“position: ${v.name}” has no place on pages that are turned.`)
  })
  // Braces that are left open take everything behind them.
  const bare = css.replace(/\/\*[\s\S]*?\*\/|"[^"\n]*"|'[^'\n]*'/g, m => m.replace(/[^\n]/g, ' '))
  let open = 0
  for (const [i, line] of bare.split('\n').entries()) {
    for (const c of line) {
      if (c === '{') open++
      if (c === '}' && --open < 0) {
        faults.push({ line: i + 1, says: 'A brace is closed that was not opened.' })
        open = 0
      }
    }
  }
  if (open > 0) faults.push({ line: bare.split('\n').length, says: 'A brace is not closed.' })
  return faults.sort((a, b) => a.line - b.line)
}
