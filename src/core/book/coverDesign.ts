/** The data of a cover design; geometry and drawing are `core/cover`'s. */
export type PanelName = 'back' | 'spine' | 'front'

/**
 * A cover design: pieces that belong to a panel and are placed in parts of its safe zone, so that a new page count, trim or
 * binding refits the design and throws nothing away. Title, author and the rest are fields of the book: cover and listing
 * cannot differ.
 */
export interface CoverDesign {
  id: string
  name: string
  ground: { colour: string; spine?: string }
  /** Drawn from bleed to bleed under all pieces. */
  motif: { kind: 'tide and lamp' | 'rows' | 'plain'; light: string; dark: string; accent: string }
  /** A picture over the ground: on the front, or over the whole sheet. It covers its area and is cut, never distorted. */
  picture?: { asset: string; over: 'front' | 'sheet' }
  pieces: CoverPiece[]
}

export type Field = 'title' | 'subtitle' | 'author' | 'series' | 'imprint' | 'description'

export interface CoverPiece {
  id: string
  panel: PanelName
  field: Field
  /** In parts of the panel's safe zone (of the spine's text zone, along the spine). */
  box: { x: number; y: number; width: number; height: number }
  face: string
  /** Largest size in points for a 6 × 9 in panel; text shrinks to fit its box. */
  size: number
  leading: number
  /** Ems. */
  tracking: number
  capitals: boolean
  align: 'left' | 'center' | 'right'
  vertical: 'top' | 'middle' | 'bottom'
  colour: string
}
