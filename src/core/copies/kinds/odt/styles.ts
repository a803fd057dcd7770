import type { MarkJson } from '@/core/book'
import { type OdtWriting, text } from './words'

/** The namespaces of OpenDocument that are used. */
export const NAMESPACES = [
  ...['office', 'style', 'text', 'table', 'meta'].map(n => [n, `urn:oasis:names:tc:opendocument:xmlns:${n}:1.0`]),
  ['draw', 'urn:oasis:names:tc:opendocument:xmlns:drawing:1.0'],
  ['fo', 'urn:oasis:names:tc:opendocument:xmlns:xsl-fo-compatible:1.0'],
  ['svg', 'urn:oasis:names:tc:opendocument:xmlns:svg-compatible:1.0'],
  ['xlink', 'http://www.w3.org/1999/xlink'],
  ['dc', 'http://purl.org/dc/elements/1.1/'],
]
  .map(([name, space]) => `xmlns:${name}="${space}"`)
  .join(' ')

const letters: Partial<Record<MarkJson['type'], string>> = {
  strong: 'fo:font-weight="bold"',
  em: 'fo:font-style="italic"',
  small_caps: 'fo:font-variant="small-caps"',
  strike: 'style:text-line-through-style="solid" style:text-line-through-type="single"',
  superscript: 'style:text-position="super 58%"',
  subscript: 'style:text-position="sub 58%"',
}

/** How words look that are marked. */
export const automaticStyles = ({ looks }: OdtWriting): string =>
  [...looks.values()]
    .map(({ name, marks }) => {
      const says = marks.map(m => (m.type === 'language' ? language(m.attrs.tag) : letters[m.type]))
      return `<style:style style:name="${name}" style:family="text"><style:text-properties ${says.join(' ')}/></style:style>`
    })
    .join('')

function language(tag: string): string {
  const [code, ...rest] = tag.split('-')
  const country = rest.find(r => /^[A-Za-z]{2}$/.test(r))
  return `fo:language="${text(code!)}" fo:country="${country ? text(country) : 'none'}"`
}

interface Look {
  name: string
  shown?: string
  parent?: string
  paragraph?: string
  letters?: string
}

const style = ({ name, shown, parent, paragraph, letters: own }: Look): string =>
  `<style:style style:name="${name}"${shown ? ` style:display-name="${shown}"` : ''} style:family="paragraph"${
    parent ? ` style:parent-style-name="${parent}"` : ''
  }>${paragraph ? `<style:paragraph-properties ${paragraph}/>` : ''}${own ? `<style:text-properties ${own}/>` : ''}</style:style>`

const indented = 'fo:margin-left="36pt" fo:margin-right="36pt"'
const centred = 'fo:text-align="center" fo:margin-top="12pt" fo:margin-bottom="12pt"'
const held: Look[] = [
  { name: 'Text', shown: 'Text body' },
  { name: 'Quotations', shown: 'Quotations', paragraph: indented },
  { name: 'Letter', shown: 'Letter', paragraph: indented },
]

const looks: Look[] = [
  {
    name: 'Opening',
    shown: 'Heading 1',
    paragraph: 'fo:break-before="page" fo:margin-top="24pt" fo:margin-bottom="18pt"',
    letters: 'fo:font-size="18pt"',
  },
  ...[2, 3, 4, 5, 6].map(n => ({
    name: `Heading_20_${n}`,
    shown: `Heading ${n}`,
    paragraph: 'fo:margin-top="12pt"',
    letters: `fo:font-size="${18 - n}pt"`,
  })),
  { name: 'Subtitle', shown: 'Subtitle', paragraph: 'fo:margin-bottom="12pt"', letters: 'fo:font-size="13pt"' },
  ...held.flatMap(h => [
    h,
    ...(['Left', 'Right', 'Center'] as const).map(side => ({
      name: `${h.name}${side}`,
      parent: h.name,
      paragraph: `fo:text-align="${side === 'Left' ? 'start' : side === 'Right' ? 'end' : 'center'}"`,
    })),
  ]),
  { name: 'Verse', shown: 'Verse', paragraph: 'fo:margin-left="18pt" fo:margin-bottom="0pt"' },
  { name: 'VerseStanza', shown: 'Verse, first line', parent: 'Verse', paragraph: 'fo:margin-top="12pt"' },
  { name: 'SceneBreak', shown: 'Scene break', paragraph: centred },
  { name: 'PageBreak', shown: 'Page break', paragraph: 'fo:break-before="page"' },
  { name: 'Picture', shown: 'Picture', paragraph: `${centred} fo:keep-with-next="always"` },
  { name: 'Caption', shown: 'Caption', paragraph: 'fo:text-align="center"', letters: 'fo:font-size="10pt"' },
  { name: 'Footnote', shown: 'Footnote', letters: 'fo:font-size="10pt"' },
]

const level = (n: number, sign: string): string =>
  `<text:list-level-style-${sign === 'number' ? 'number' : 'bullet'} text:level="${n}" ${
    sign === 'number' ? 'style:num-format="1" style:num-suffix="."' : 'text:bullet-char="•"'
  }><style:list-level-properties text:list-level-position-and-space-mode="label-alignment"><style:list-level-label-alignment text:label-followed-by="listtab" fo:margin-left="${18 * n}pt" fo:text-indent="-18pt"/></style:list-level-properties></text:list-level-style-${sign === 'number' ? 'number' : 'bullet'}>`
const lists = (['number', 'bullet'] as const)
  .map(sign => {
    const levels = Array.from({ length: 9 }, (_, i) => level(i + 1, sign)).join('')
    return `<text:list-style style:name="${sign === 'number' ? 'Numbered' : 'Bulleted'}">${levels}</text:list-style>`
  })
  .join('')

/** How a manuscript reads well on a screen; the book's own style is no concern of it. */
export const stylesXml = (tag: string): string =>
  `<office:document-styles ${NAMESPACES} office:version="1.3"><office:styles><style:default-style style:family="paragraph"><style:paragraph-properties fo:line-height="140%" fo:margin-bottom="6pt"/><style:text-properties style:font-name="Georgia" fo:font-family="Georgia" fo:font-size="12pt" ${language(tag)}/></style:default-style>${looks.map(style).join('')}${lists}</office:styles></office:document-styles>`
