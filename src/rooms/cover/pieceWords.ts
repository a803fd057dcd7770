import type { CoverPiece, Field } from '@/core/cover'

/** Fields and panels as they are called. */
export const fields: Record<Field, string> = {
  title: 'Title',
  subtitle: 'Subtitle',
  author: 'Author',
  series: 'Series',
  imprint: 'Imprint',
  description: 'Description',
}
export const panels: Record<CoverPiece['panel'], string> = { front: 'front', back: 'back', spine: 'spine' }
