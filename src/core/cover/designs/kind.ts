import type { CoverDesign, CoverPiece, OrnamentPiece, RepeatPiece, ShapePiece, TextPiece } from '../../book'
import type { Palette, PaletteName } from './palettes'

export const genres = [
  'mystery',
  'romance',
  'fantasy',
  'history',
  'memoir',
  'how-to',
  'children',
  'verse',
  'cookery',
  'planned pages',
] as const
export type Genre = (typeof genres)[number]

/** A design that ships: a document in parts of its panels, which any trim, title and binding fills anew. */
export interface DesignKind {
  id: string
  name: string
  /** What books it is for; the first is what it is listed under. */
  genres: readonly Genre[]
  /** Those that it reads in; the first is its own. */
  palettes: readonly [PaletteName, ...PaletteName[]]
  draw: (c: Palette) => Pick<CoverDesign, 'ground' | 'motif' | 'pieces'>
}

type Box = CoverPiece['box']

/** A box in parts of an area. */
// Four numbers, as every box has them.
export const at = (x: number, y: number, width: number, height: number): Box => ({ x, y, width, height })

type Words = Partial<TextPiece> & Pick<TextPiece, 'field' | 'box' | 'face' | 'size' | 'colour'>

/** Words of the front, centred at the head of their box where nothing else is said. */
export const words = (of: Words): TextPiece => ({
  id: of.field,
  panel: 'front',
  leading: 1.1,
  tracking: 0,
  capitals: false,
  align: 'center',
  vertical: 'top',
  ...of,
})

/** What an author reads of a part, from its id: "stamp-mark" is the stamp mark. */
const called = (id: string): string => id.replaceAll('-', ' ')

type Shape = Partial<ShapePiece> & Pick<ShapePiece, 'id' | 'form' | 'box' | 'colour'>
export const shape = (of: Shape): ShapePiece => ({ kind: 'shape', panel: 'front', name: called(of.id), ...of })

export const ornament = (
  of: Partial<OrnamentPiece> & Pick<OrnamentPiece, 'id' | 'ornament' | 'box' | 'colour'>,
): OrnamentPiece => ({
  kind: 'ornament',
  panel: 'front',
  name: called(of.id),
  ...of,
})

type Repeat = Partial<RepeatPiece> & Pick<RepeatPiece, 'id' | 'of' | 'colour' | 'cell'>
/** One thing over and over, over the whole sheet where nothing else is said. */
export const repeat = (of: Repeat): RepeatPiece => ({
  kind: 'repeat',
  name: called(of.id),
  panel: 'sheet',
  within: 'panel',
  box: at(0, 0, 1, 1),
  pattern: 'straight',
  ...of,
})

/** How the back and the spine are set. */
interface Rest {
  /** Of what is read, and of names. */
  text: string
  names: string
  colour: string
  quiet: string
  /** Names in capitals. */
  capitals?: boolean
  tracking?: number
  /** What the back's words stand on, where the ground is too lively for them. */
  plate?: string
  size?: number
  align?: TextPiece['align']
  /** A spine of its own colour, as if bound in cloth: past both folds by more than they drift. */
  cloth?: string
  /** Its name at the foot of the back, unless this says no. */
  imprint?: false
  /** How far down the spine its words reach, in parts of it: less where the ground changes at its foot. */
  reach?: number
}

/** The back (what the book is about, who publishes it) and the spine (title, author), in the faces and colours of the front. */
export const backAndSpine = (of: Rest): CoverPiece[] => [...clothOf(of), ...backOf(of), ...spineOf(of)]

const clothOf = ({ cloth }: Rest): CoverPiece[] =>
  cloth
    ? [
        shape({
          id: 'spine-band',
          form: 'rectangle',
          panel: 'spine',
          within: 'folds',
          box: at(0, 0, 1, 1),
          colour: cloth,
        }),
      ]
    : []

function backOf({ text, names, colour, quiet, plate, size = 12.5, align = 'left', imprint }: Rest): CoverPiece[] {
  const inset = plate ? 0.07 : 0.03
  const back = (p: Words & { id: string }): TextPiece => words({ panel: 'back', align, ...p })
  const under = plate && {
    id: 'back-plate',
    form: 'rectangle' as const,
    panel: 'back' as const,
    box: at(0, 0, 1, 0.7),
    colour: plate,
    depth: 0.03,
  }
  return [
    ...(under ? [shape(under)] : []),
    back({
      id: 'description',
      field: 'description',
      box: at(inset, plate ? 0.05 : 0.03, 1 - 2 * inset, 0.6),
      face: text,
      size,
      leading: 1.45,
      colour,
    }),
    ...(imprint === false
      ? []
      : [
          back({
            id: 'imprint',
            field: 'imprint',
            box: at(0.03, 0.95, 0.5, 0.05),
            face: names,
            size: 10,
            tracking: 0.06,
            align: 'left',
            vertical: 'bottom',
            colour: quiet,
          }),
        ]),
  ]
}

function spineOf({ names, colour, quiet, capitals = false, tracking = 0, plate, reach = 1 }: Rest): CoverPiece[] {
  const spine = (p: Words & { id: string }): TextPiece =>
    words({ panel: 'spine', vertical: 'middle', capitals, tracking, ...p })
  return [
    spine({
      id: 'spine-title',
      field: 'title',
      box: at(0.02, 0, 0.62 * reach, 1),
      face: names,
      size: 17,
      align: 'left',
      colour: plate ? quiet : colour,
    }),
    spine({
      id: 'spine-author',
      field: 'author',
      box: at(0.66 * reach, 0, 0.34 * reach - 0.02, 1),
      face: names,
      size: 13,
      align: 'right',
      colour: quiet,
    }),
  ]
}
