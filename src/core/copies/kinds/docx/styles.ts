import { AlignmentType, type IParagraphStyleOptions, type IStylesOptions } from 'docx'
import { styleIds, styleNames } from './styleNames'

const FACE = 'Georgia'
const indented = { indent: { left: 720, right: 720 } }
const centred = { alignment: AlignmentType.CENTER, spacing: { before: 240, after: 240 } }

const looks: Partial<Record<keyof typeof styleIds, Pick<IParagraphStyleOptions, 'paragraph' | 'run'>>> = {
  subtitle: { run: { italics: false, size: 26 }, paragraph: { spacing: { after: 240 } } },
  quote: { paragraph: indented },
  letter: { paragraph: indented },
  verse: { paragraph: { indent: { left: 360 }, spacing: { after: 0 } } },
  break: { paragraph: centred },
  picture: { paragraph: { ...centred, keepNext: true } },
  caption: { run: { size: 20 }, paragraph: { alignment: AlignmentType.CENTER } },
}

/** How a manuscript reads well on a screen and leaves room for remarks; the book's own style is no concern of it. */
export const docxStyles: IStylesOptions = {
  default: {
    document: {
      run: { font: FACE, size: 24 },
      paragraph: { spacing: { line: 360, after: 120 } },
    },
    heading1: { run: { font: FACE, size: 36, bold: false }, paragraph: { spacing: { before: 480, after: 360 } } },
    ...Object.fromEntries(
      [2, 3, 4, 5, 6].map(n => [
        `heading${n}`,
        { run: { font: FACE, size: 34 - 2 * n, bold: false, italics: n > 3 }, paragraph: { spacing: { before: 240 } } },
      ]),
    ),
  },
  paragraphStyles: (Object.keys(styleIds) as (keyof typeof styleIds)[]).map(key => ({
    id: styleIds[key],
    name: styleNames[key],
    basedOn: 'Normal',
    quickFormat: true,
    ...looks[key],
  })),
}
