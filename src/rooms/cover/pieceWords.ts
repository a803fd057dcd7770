import type { CoverForm, Field, PieceGround } from '@/core/book'

/** Fields, panels and forms as they are called. */
export const fields: Record<Field | 'own', string> = {
  title: 'Title',
  subtitle: 'Subtitle',
  author: 'Author',
  series: 'Series',
  imprint: 'Imprint',
  description: 'Description',
  quotes: 'What is said of it',
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
  own: 'an outline of yours',
}
