import { properties } from '../../publication'
import type { EpubFinding, EpubRule } from './finding'
import { type EbookText, type EbookView, XHTML } from './view'

const OWN = 'rendition:layout-'

/** Texts that are pages of a fixed size: all, or those that say so by themselves (EPUB 3.3, 8.2.2). */
function fixedTexts({ epub, texts }: EbookView): EbookText[] {
  const all = properties(epub, 'rendition:layout').includes('pre-paginated')
  const items = new Map(epub.items.map(i => [i.id, i]))
  return epub.spine.flatMap(s => {
    const own = s.properties.find(p => p.startsWith(OWN))
    const item = items.get(s.id)
    const fixed = own ? own === `${OWN}pre-paginated` : all
    return fixed && item?.type === XHTML ? (texts.get(item.path) ?? []) : []
  })
}

/** A page that is fixed says how large it is. */
const sizes: EpubRule = view =>
  fixedTexts(view).flatMap(({ path, elements, fault }): EpubFinding[] => {
    const says = elements.find(e => e.name === 'meta' && e.attrs.name === 'viewport')
    const content = says?.attrs.content ?? ''
    if (fault || (/\bwidth\s*=\s*\d/.test(content) && /\bheight\s*=\s*\d/.test(content))) return []
    return [
      {
        rule: 'size of a page',
        severity: 'stop',
        place: { file: path, ...(says ? { line: says.line } : {}) },
        message: 'A page that is fixed does not say how large it is.',
        remedy: 'State it in its head: a viewport of so many pixels in width and height.',
      },
    ]
  })

/** A link of a drawing has words of its own, or says what it is (SVG 1.1, 17). */
const drawnLinks: EpubRule = ({ epub, texts }) =>
  epub.items.flatMap(({ path }) =>
    (texts.get(path)?.elements ?? []).flatMap(({ name, attrs, line }, i, all): EpubFinding[] => {
      if (name !== 'a' || attrs['xlink:href'] === undefined) return []
      if (attrs['xlink:title']?.trim() || all[i + 1]?.name === 'title') return []
      return [
        {
          rule: 'link of a drawing',
          severity: 'remark',
          place: { file: path, line },
          message: 'A link in a drawing does not say what it is.',
          remedy: 'Give it a title.',
        },
      ]
    }),
  )

export const fixed: readonly EpubRule[] = [sizes, drawnLinks]
