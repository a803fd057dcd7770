import { type Device, LINES, MARGINS, type Reader, SIZES, tones } from './devices'

/** Faces that a device has of its own, from those that ship. */
const OWN = {
  serif: ['Literata_400Regular.ttf', 'Literata_400Regular_Italic.ttf', 'Literata_600SemiBold.ttf'],
  plain: [
    'AtkinsonHyperlegible_400Regular.ttf',
    'AtkinsonHyperlegible_400Regular_Italic.ttf',
    'AtkinsonHyperlegible_700Bold.ttf',
  ],
} as const

const face = (files: readonly [string, string, string]): string =>
  files
    .map(
      (file, i) =>
        `@font-face { font-family: "device"; font-style: ${i === 1 ? 'italic' : 'normal'}; font-weight: ${i === 2 ? 'bold' : 'normal'}; src: url(${location.origin}/fonts/${file}); }`,
    )
    .join('\n')

/** Ems that a column holds at least: in narrower ones lines cannot be even. */
const LEAST_COLUMN = 18

/** Columns beside each other on a screen: two where it is wide enough for such letters. */
export function columnsOn(
  { width, columns: wished = 1 }: Pick<Device, 'width' | 'columns'>,
  { margins, size }: Pick<Reader, 'margins' | 'size'>,
): 1 | 2 {
  const column = (width / wished) * (1 - 2 * MARGINS[margins])
  return column < LEAST_COLUMN * SIZES[size] ? 1 : wished
}

/** Room over and under the text, pixels. */
const HEAD = 34

/**
 * What a reading program lays over a book: its pages as columns side by side, the reader's size, margins, colours, and where it was
 * asked for the reader's face. `carries`: whether the book brings a face.
 */
export function readerStyle(device: Device, reader: Reader, carries: boolean): string {
  const columns = columnsOn(device, reader)
  const side = Math.round((device.width / columns) * MARGINS[reader.margins])
  const { paper, ink } = tones(device, reader.light)
  const wanted = reader.face === 'book' ? 'serif' : reader.face
  const forced = reader.face !== 'book'
  const lines = LINES[reader.lines]
  const night = reader.light === 'night'
  return `
${face(OWN[wanted])}
html { margin: 0; padding: 0; width: 100%; height: 100%; overflow: hidden; background: ${paper}; color: ${ink}; font-size: ${SIZES[reader.size]}px; }
html body { margin: 0; box-sizing: border-box; width: ${device.width}px; height: ${device.height}px; padding: ${HEAD}px ${side}px; column-width: ${device.width / columns - 2 * side}px; column-gap: ${2 * side}px; column-fill: auto; overflow-wrap: break-word; background: transparent; color: inherit;${carries ? '' : ' font-family: "device", serif;'} orphans: 2; widows: 2; }
${forced ? 'body, body * { font-family: "device", serif !important; }' : ''}
${lines ? `body, body p, body li, body .line { line-height: ${lines} !important; }` : ''}
section.cover { column-span: all; text-align: center; }
img, svg { max-height: ${device.height - 2 * HEAD - 8}px; }
a { color: inherit; }
${night ? 'img { filter: brightness(0.82); }' : ''}
`
}
