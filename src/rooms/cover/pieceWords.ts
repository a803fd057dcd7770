import type { CoverForm, Field, PieceGround } from '@/core/book'

/** Fields, panels and forms as they are called. */
export const fields: Record<Field | 'own', string> = {
  title: 'Title',
  subtitle: 'Subtitle',
  author: 'Author',
  series: 'Series',
  imprint: 'Imprint',
  description: 'Description',
  own: 'Words',
}
export const panels: Record<PieceGround, string> = {
  front: 'front',
  spine: 'spine',
  back: 'back',
  sheet: 'whole sheet',
}
export const forms: Record<CoverForm, string> = {
  rectangle: 'a rectangle',
  round: 'a round',
  polygon: 'a polygon',
  star: 'a star',
  badge: 'a badge',
  ribbon: 'a ribbon',
  line: 'a line',
  frame: 'a frame',
}
export const faces = [
  { value: 'fraunces/bold', words: 'Fraunces bold' },
  { value: 'fraunces/regular', words: 'Fraunces' },
  { value: 'figtree/bold', words: 'Figtree bold' },
  { value: 'figtree/regular', words: 'Figtree' },
  { value: 'eb-garamond/regular', words: 'EB Garamond' },
  { value: 'eb-garamond/italic', words: 'EB Garamond italic' },
  { value: 'eb-garamond/bold', words: 'EB Garamond bold' },
  { value: 'source-serif/regular', words: 'Source Serif' },
  { value: 'source-serif/italic', words: 'Source Serif italic' },
]
