import type { CoverDesign, TextPiece } from '../book'

export type { CoverDesign, CoverPiece, Field } from '../book'

const piece = (p: Partial<TextPiece> & Pick<TextPiece, 'id' | 'panel' | 'field' | 'box' | 'size'>): TextPiece => ({
  face: 'fraunces/bold',
  leading: 1.12,
  tracking: 0,
  capitals: false,
  align: 'center',
  vertical: 'top',
  colour: '#f6efdf',
  ...p,
})

/** The shipped design: a lamp over the tide. Panels differ in what they carry, not in their ground, so that folds may drift. */
export const lampOverTide: CoverDesign = {
  id: 'lamp-over-tide',
  name: 'Lamp over the tide',
  ground: { colour: '#15343d' },
  motif: { kind: 'tide and lamp', light: '#e59f2c', dark: '#0f2730', accent: '#2c5a66' },
  pieces: [
    piece({
      id: 'series',
      panel: 'front',
      field: 'series',
      box: { x: 0.04, y: 0.0, width: 0.92, height: 0.05 },
      size: 11,
      face: 'figtree/bold',
      tracking: 0.12,
      capitals: true,
      colour: '#e9cf9a',
    }),
    piece({
      id: 'title',
      panel: 'front',
      field: 'title',
      box: { x: 0.02, y: 0.07, width: 0.96, height: 0.33 },
      size: 52,
      leading: 1.04,
    }),
    piece({
      id: 'subtitle',
      panel: 'front',
      field: 'subtitle',
      box: { x: 0.1, y: 0.415, width: 0.8, height: 0.07 },
      size: 15,
      face: 'fraunces/regular',
      leading: 1.25,
      colour: '#e9cf9a',
    }),
    piece({
      id: 'author',
      panel: 'front',
      field: 'author',
      box: { x: 0.02, y: 0.9, width: 0.96, height: 0.1 },
      size: 24,
      face: 'figtree/bold',
      tracking: 0.1,
      capitals: true,
      vertical: 'bottom',
    }),
    piece({
      id: 'description',
      panel: 'back',
      field: 'description',
      box: { x: 0.03, y: 0.03, width: 0.94, height: 0.58 },
      size: 13,
      face: 'fraunces/regular',
      leading: 1.45,
      align: 'left',
    }),
    piece({
      id: 'imprint',
      panel: 'back',
      field: 'imprint',
      box: { x: 0.03, y: 0.95, width: 0.5, height: 0.05 },
      size: 10,
      face: 'figtree/bold',
      tracking: 0.08,
      capitals: true,
      align: 'left',
      vertical: 'bottom',
      colour: '#e9cf9a',
    }),
    piece({
      id: 'spine-author',
      panel: 'spine',
      field: 'author',
      box: { x: 0.0, y: 0, width: 0.3, height: 1 },
      size: 13,
      face: 'figtree/bold',
      tracking: 0.08,
      capitals: true,
      align: 'left',
      vertical: 'middle',
    }),
    piece({
      id: 'spine-title',
      panel: 'spine',
      field: 'title',
      box: { x: 0.3, y: 0, width: 0.7, height: 1 },
      size: 19,
      align: 'center',
      vertical: 'middle',
    }),
  ],
}

/** Rows of colour for logbooks and activity books. */
export const rows: CoverDesign = {
  ...lampOverTide,
  id: 'rows',
  name: 'Rows',
  ground: { colour: '#b5822d' },
  motif: { kind: 'rows', light: '#c9973f', dark: '#8f6420', accent: '#a87527' },
  pieces: lampOverTide.pieces.map(p => ({ ...p, colour: '#fffaf0' })),
}

export const shippedDesigns: CoverDesign[] = [lampOverTide, rows]
