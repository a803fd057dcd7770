import type { InteriorStyle } from '../pages'
import type { EmbeddedFace } from './faces'

/**
 * The ebook's style sheet, after the interior's style and restrained: the reader's own face, size, margins and colours win. Sizes
 * are parts of the reader's; what a simple device does not know, it passes over.
 */
export function styleSheetOf(style: InteriorStyle, faces: readonly EmbeddedFace[] = []): string {
  return [
    ...faces.map(fontFace),
    ...body(style, faces),
    ...openings(style),
    ...firsts,
    ...headings(style),
    ...insets(style),
    ...breaks(style),
    ...FIGURES,
    ...TABLES,
    ...NOTES,
    ...PAGES,
  ].join('\n')
}

const em = (n: number): string => `${Math.round(n * 100) / 100}em`

const fontFace = ({ family, file, bold, italic }: EmbeddedFace): string =>
  `@font-face { font-family: "${family}"; font-weight: ${bold ? 'bold' : 'normal'}; font-style: ${italic ? 'italic' : 'normal'}; src: url(fonts/${file}); }`

function body({ text }: InteriorStyle, faces: readonly EmbeddedFace[]): string[] {
  const divides = text.hyphenate && !text.large ? 'auto' : 'none'
  const face = faces[0] ? ` font-family: "${faces[0].family}", serif;` : ''
  const figures = text.oldStyleFigures ? ' font-variant-numeric: oldstyle-nums;' : ''
  return [
    `body { margin: 5%; line-height: ${text.large ? 1.55 : 1.45};${face}${figures} text-align: ${text.align}; -epub-hyphens: ${divides}; hyphens: ${divides}; }`,
    text.paragraphs === 'space'
      ? 'p { margin: 0 0 0.85em; text-indent: 0; }'
      : `p { margin: 0; text-indent: ${em(text.indent)}; }`,
    'p.first, p.centre, p.right, .subtitle, figcaption p, li p, td p, th p, aside p { text-indent: 0; }',
    // Few words fill a line of a small screen: gaps would be wide.
    ...(text.align === 'justify' ? ['@media (max-width: 22em) { body { text-align: left; } }'] : []),
    'p.centre { text-align: center; }',
    'p.right { text-align: right; }',
    '.sc { font-variant: small-caps; }',
  ]
}

const TITLES: Record<InteriorStyle['openings']['title'], string> = {
  'as written': '',
  italic: ' font-style: italic;',
  'small capitals': ' font-variant: small-caps; letter-spacing: 0.05em;',
  capitals: ' text-transform: uppercase; letter-spacing: 0.09em;',
  bold: ' font-weight: bold;',
}

/** Titles are no larger than so many times the text: a telephone is narrow. */
const LARGEST = 2.2
/** Nor larger than such a part of a narrow screen. */
const NARROWEST = '11vw'

function openings({ openings: o, text }: InteriorStyle): string[] {
  const align = o.align
  const title = Math.min(LARGEST, Math.max(1.05, o.titleSize / text.size))
  const number = Math.min(LARGEST, Math.max(0.8, o.numberSize / text.size)) / title
  const words = o.number === 'words' || o.number === 'word and figures'
  const sink = Math.min(8, o.sink) * 0.5
  const below = Math.max(1, Math.min(8, o.below)) * 0.65
  return [
    `h1 { font-size: ${em(title)}; font-weight: normal; text-align: ${align}; margin: ${em(sink / title)} 0 ${em(below / title)}; line-height: 1.25; text-wrap: balance; -epub-hyphens: none; hyphens: none; page-break-after: avoid; break-after: avoid; }`,
    // However large the letters are, a long word of a title has room beside the margins.
    `@media (max-width: 30em) { h1 { font-size: min(${em(title)}, ${NARROWEST}); } }`,
    `h1 .number { display: block; font-size: ${em(number)}; margin-bottom: 0.6em;${words ? ' font-variant: small-caps; letter-spacing: 0.08em;' : ' font-variant-numeric: lining-nums;'} }`,
    `h1 .title { display: block;${TITLES[o.title]} }`,
    `h1 .ornament { display: block; margin: ${align === 'center' ? '0.5em auto 0.6em' : '0.5em 0 0.6em'}; }`,
    'img.ornament { max-width: 100%; height: 2.6em; }',
    `.subtitle { text-align: ${align}; font-style: italic; margin: -0.6em 0 ${em(below)}; }`,
    `figure.opening { margin: 0 0 1em; text-align: ${align}; }`,
    `figure.opening img { width: ${Math.round(o.picture * 100)}%; }`,
  ]
}

/** Two lines deep, or three and no more; where nothing floats, a large letter. Sizes fit capitals of seven tenths of the em on lines of 1.45. */
const firsts = [
  '.initial { float: left; font-size: 5.05em; line-height: 0.82; margin: 0.02em 0.06em 0 0; }',
  '.initial .opens { font-size: 0.45em; vertical-align: top; line-height: 1.4; }',
  '.initial.two { font-size: 3.1em; line-height: 0.9; }',
  '.lead { font-variant: small-caps; letter-spacing: 0.03em; }',
  'p.lead-line::first-line { font-variant: small-caps; letter-spacing: 0.03em; }',
]

const headings = ({ headings: h }: InteriorStyle): string[] => [
  'h2, h3, h4 { font-weight: normal; margin: 1.8em 0 0.8em; -epub-hyphens: none; hyphens: none; page-break-after: avoid; break-after: avoid; }',
  `h2 { font-size: 1.25em; text-align: ${h.align}; }`,
  'h3 { font-size: 1.05em; font-variant: small-caps; letter-spacing: 0.04em; text-align: left; }',
  'h4 { font-size: 1em; font-style: italic; text-align: left; }',
]

const insets = ({ quotes, text }: InteriorStyle): string[] => [
  `blockquote { margin: 1em ${em(Math.min(2.5, quotes.inset))}; }`,
  ...(quotes.italic ? ['blockquote.quote { font-style: italic; }', 'blockquote.quote em { font-style: normal; }'] : []),
  `blockquote p { ${text.paragraphs === 'space' ? 'margin-bottom: 0.6em;' : 'margin: 0;'} }`,
  `.verse { margin: 1em 0 1em ${em(Math.min(3, quotes.inset * 1.5))}; text-align: left; -epub-hyphens: none; hyphens: none; }`,
  '.verse p { margin: 0 0 0.9em; text-indent: 0; }',
  '.verse .line { display: block; padding-left: 1.5em; text-indent: -1.5em; }',
  '.verse br { display: none; }',
  '.verse .in1 { padding-left: 2.5em; }',
  '.verse .in2 { padding-left: 3.5em; }',
  '.verse .in3 { padding-left: 4.5em; }',
  '.verse .in4 { padding-left: 5.5em; }',
]

const breaks = ({ breaks: b }: InteriorStyle): string[] => [
  `.scene { border: 0; text-align: center; text-indent: 0; margin: ${em(Math.max(0.7, b.space * 1.2))} auto; min-height: 1em; }`,
  '.scene .ornament { vertical-align: middle; }',
  'hr.turn { border: 0; margin: 0; page-break-after: always; break-after: page; }',
]

const FIGURES = [
  'figure { margin: 1.4em 0; text-align: center; page-break-inside: avoid; break-inside: avoid; }',
  'figure img { max-width: 100%; max-height: 90vh; }',
  'figure.left { float: left; max-width: 50%; margin: 0.3em 1em 0.5em 0; }',
  'figure.right { float: right; max-width: 50%; margin: 0.3em 0 0.5em 1em; }',
  'figure svg { width: 100%; max-height: 90vh; }',
  'figure.left img, figure.right img { width: 100%; }',
  // On a narrow screen nothing stands beside the text.
  '@media (max-width: 30em) { figure.left, figure.right { float: none; width: auto !important; max-width: 100%; margin: 1.4em 0; } }',
  'figure.page, figure.plate { page-break-before: always; page-break-after: always; break-before: page; break-after: page; margin: 0; }',
  'img.sign { width: auto; vertical-align: baseline; }',
  'figure.plays video { width: 100%; max-height: 80vh; }',
  'figure.plays audio { width: 100%; max-width: 26em; }',
  '.spoken { margin: 0.6em auto; max-width: 34em; text-align: left; font-size: 0.9em; }',
  '.spoken summary { text-align: center; font-style: italic; }',
  '.spoken p { text-indent: 0; margin: 0.4em 0; }',
  'figcaption { font-size: 0.88em; font-style: italic; margin-top: 0.5em; }',
]

// A box that scrolls is one piece on pages that are turned: what of it is taller than a screen is never seen. Words give way instead.
const TABLES = [
  '.table { margin: 1em 0; }',
  'table { border-collapse: collapse; margin: 0 auto; font-size: 0.85em; line-height: 1.35; max-width: 100%; font-variant-numeric: lining-nums tabular-nums; text-align: left; }',
  // Columns of one width break the fewest words where there is little room.
  '@media (max-width: 40em) { table { table-layout: fixed; width: 100%; } }',
  'tr { page-break-inside: avoid; break-inside: avoid; }',
  'th, td { padding: 0.3em 0.4em; overflow-wrap: anywhere; text-align: left; vertical-align: top; border-bottom: 1px solid currentColor; font-weight: normal; }',
  'th p { font-style: italic; }',
  'td p, th p { margin: 0; }',
]

const NOTES = [
  'a.noteref { font-size: 0.7em; vertical-align: super; line-height: 0; text-decoration: none; }',
  '.notes { margin-top: 2.5em; border-top: 1px solid currentColor; padding-top: 0.8em; font-size: 0.9em; }',
]

const PAGES = [
  '.dedication, .epigraph { margin-top: 22%; text-align: center; font-style: italic; }',
  '.dedication p, .epigraph p { text-indent: 0; }',
  '.titlepage { text-align: center; margin-top: 12%; -epub-hyphens: none; hyphens: none; }',
  '.titlepage h1 { font-size: 2em; margin: 0 0 0.5em; text-align: center; }',
  '.titlepage p { text-indent: 0; margin: 0.8em 0; text-align: center; }',
  '.titlepage .series { font-style: italic; }',
  '.titlepage .author { font-size: 1.25em; margin-top: 2em; }',
  '.titlepage .imprint { margin-top: 5em; font-variant: small-caps; }',
  '.titlepage .logo { margin-top: 5em; }',
  '.titlepage .logo img { height: 3.2em; }',
  // On a narrow screen all of it is on one.
  `@media (max-width: 30em) { .titlepage h1 { font-size: 1.3em; font-size: min(1.6em, ${NARROWEST}); } .titlepage .author { margin-top: 1.2em; } .titlepage .imprint, .titlepage .logo { margin-top: 1.8em; } }`,
  '.titlepage .logo + .imprint { margin-top: 0.4em; }',
  '.copyright p { text-indent: 0; margin: 0 0 0.6em; font-size: 0.9em; text-align: left; }',
  'nav ol { list-style: none; padding-left: 0; }',
  'nav a { color: inherit; text-decoration: none; }',
  'nav ol ol { padding-left: 1.4em; }',
  'nav li { margin: 0.45em 0; text-align: left; }',
  '.cover { margin: 0; padding: 0; text-align: center; }',
  '.cover img { max-width: 100%; max-height: 90vh; }',
  '',
]
