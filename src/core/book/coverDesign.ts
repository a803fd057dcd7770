/** The data of a cover design; geometry and drawing are `core/cover`'s. */
export type PanelName = 'back' | 'spine' | 'front'

/**
 * A cover design: pieces that belong to a panel and are placed in parts of an area of it, so that a new page count, trim or
 * binding refits the design and throws nothing away. Title, author and the rest are fields of the book: cover and listing
 * cannot differ.
 */
export interface CoverDesign {
  id: string
  name: string
  /** The shipped palette that its colours are of, while they are. */
  palette?: string
  ground: { colour: string }
  motif: CoverMotif
  /** A picture over the ground: on the front, or over the whole sheet. It covers its area and is cut, never distorted. */
  picture?: { asset: string; over: 'front' | 'sheet' }
  /** A front that was made with another program: it stands on the front in the place of all that is drawn there. */
  front?: ElsewhereSheet
  /** From the lowest to the one that lies over all. */
  pieces: CoverPiece[]
}

/** The longest side of a sheet that is taken, and the most that may stand over where it is cut, points: no printer's is larger. */
export const LARGEST_SHEET = { side: 7200, over: 720 }

/** A sheet that was made with another program, a page of a PDF or a picture. Lengths in points. */
export interface ElsewhereSheet {
  asset: string
  /** As its file says; absent of a picture that says nothing of how large it is printed. */
  width?: number
  height?: number
  /** What stands over where it is cut, where its file says so. */
  over?: { top: number; right: number; bottom: number; left: number }
}

/** The whole cover of one edition, made with another program: one sheet, or back and front apart. */
export interface Wrap {
  sheets: ElsewhereSheet[]
  /** On a spine of another width it is widened or narrowed along both folds; it lies as it was made where absent. */
  atFolds?: 'widened'
  /** Its barcode is in it: none is laid over it. */
  barcode?: 'in it'
}

/** What is drawn from bleed to bleed under all pieces: a kind of the registry in `core/cover/motifs`. */
export interface CoverMotif {
  kind: string
  light: string
  dark: string
  accent: string
  /** What is scattered falls so; another seed, another way. */
  seed?: number
  /** Those of its values that are not as usual. */
  values?: Record<string, number>
}

export type Field = 'title' | 'subtitle' | 'author' | 'series' | 'imprint' | 'description' | 'quotes'

/** What a piece is placed on: a panel, or the whole sheet. */
export type PieceGround = PanelName | 'sheet'

export const tiesAcross = ['left', 'middle', 'right'] as const
export const tiesDown = ['head', 'middle', 'foot'] as const

/** What of its area a piece is tied to, and how large that was when its box was said, points (on the spine, along the spine). */
export interface Tie {
  across: (typeof tiesAcross)[number]
  down: (typeof tiesDown)[number]
  of: { width: number; height: number }
}

/** What all pieces have. */
export interface Placed {
  id: string
  panel: PieceGround
  /** Placed in what is safe of its panel, in all of it to the bleed, or on a spine past both folds by more than they drift; `safe` where absent. */
  within?: 'safe' | 'panel' | 'folds'
  /** In parts of that area (on the spine, along the spine). */
  box: { x: number; y: number; width: number; height: number }
  /** It keeps its size and its distance from there, whatever its area; in proportion to it where absent. */
  tied?: Tie
  /** As the author calls it. */
  name?: string
  /** Degrees, clockwise, about the middle of its box. */
  turn?: number
  /** It stays as it is until it is let go. */
  locked?: boolean
  /** Pieces of one group are chosen and moved together. */
  group?: string
  /** The author put it there: it stays when another design is worn. */
  own?: boolean
}

/** Words: a field of the book, or the cover's own. */
export interface TextPiece extends Placed {
  kind?: 'text'
  field: Field | 'own'
  /** The cover's own. */
  words?: string
  face: string
  /** Largest size in points for a 6 × 9 in panel; text shrinks to fit its box. */
  size: number
  leading: number
  /** Ems. */
  tracking: number
  capitals: boolean
  /** Small letters as small capitals, and swashes, where the face has them. */
  small?: boolean
  swashes?: boolean
  /** Letters stand nearer together the larger they are. */
  optical?: boolean
  /** Each line is as wide as its box, in letters of its own size. */
  stacked?: boolean
  /** In so many lines, each so many times as large as is asked. */
  lineSizes?: number[]
  /** Degrees that a line turns by from end to end: up at its middle where they are positive. */
  arc?: number
  align: 'left' | 'center' | 'right'
  vertical: 'top' | 'middle' | 'bottom'
  colour: string
  /** The same words under them, moved by so many ems. */
  shadow?: { colour: string; across: number; down: number }
  /** From its colour at the head to another at the foot; degrees from there. */
  gradient?: { to: string; angle: number }
  /** A line around the letters, so many ems wide. */
  outline?: { colour: string; width: number }
  /** Light around them, so many ems far. */
  glow?: { colour: string; reach: number }
  /** A plate under the words, reaching so many ems around them. */
  plate?: { colour: string; around: number; round: boolean }
}

export const coverForms = ['rectangle', 'round', 'polygon', 'star', 'badge', 'ribbon', 'line', 'frame', 'own'] as const
export type CoverForm = (typeof coverForms)[number]

/** A shape of one colour. */
export interface ShapePiece extends Placed {
  kind: 'shape'
  form: CoverForm
  colour: string
  /** Corners of a polygon, rays of a star, waves of a badge. */
  points?: number
  /** How deep a star or a badge is cut, how round a rectangle's corners are, how thick a frame or line is: 0 to 1. */
  depth?: number
  /** 0 to 1; where absent it covers. */
  opacity?: number
  /** From its colour at the head to another at the foot; degrees from there. */
  gradient?: { to: string; angle: number }
  /** Of `own`: an outline from an SVG, in a square of 1000. */
  path?: string
}

/** How a plain ground is taken from a picture: what is like its rim within a share of the scale, soft over so many pixels. */
export interface PictureCut {
  tolerance: number
  soft: number
  /** Ground that what is cut out encloses stays, or goes too. */
  holes: 'kept' | 'opened'
  /** Where the author's brush says otherwise, one stroke after the other: lines in parts of the picture's width and height, a radius in parts of its width. */
  strokes?: BrushStroke[]
}

/** Most strokes of a brush on one picture, and most points of one. */
export const BRUSH = { strokes: 500, points: 5000 }

export interface BrushStroke {
  points: [x: number, y: number][]
  radius: number
  /** What it touches stays, or goes. */
  keeps: boolean
}

/** A picture's tones, each as they are where absent. */
export interface PictureTone {
  /** None, or from one for its dark parts to one for its light ones. */
  colours?: 'greys' | { dark: string; light: string }
  /** -1 to 1. */
  light?: number
  contrast?: number
  warmth?: number
  /** In parts of its longer side. */
  blur?: number
  /** 0 to 1. */
  grain?: number
  tint?: { colour: string; strength: number }
}

export const fadeSides = ['head', 'foot', 'left', 'right', 'all sides'] as const

/** A picture that covers its box; what is too much of it is cut. */
export interface PicturePiece extends Placed {
  kind: 'picture'
  asset: string
  /** What of it stays in sight whatever is cut, in parts of it. */
  focus?: { x: number; y: number }
  /** How much closer than needed, from 1. */
  zoom?: number
  mirrored?: boolean
  mask?: 'rectangle' | 'round' | 'arch'
  /** Its plain ground is cut out. */
  cut?: PictureCut
  tone?: PictureTone
  /** It goes over into nothing toward a side of its box, over so much of it. */
  fade?: { toward: (typeof fadeSides)[number]; over: number }
}

/** One of the ornaments that ship. */
export interface OrnamentPiece extends Placed {
  kind: 'ornament'
  ornament: string
  colour: string
}

/** The imprint's logo, whole and as large as its box lets it be; none where the imprint has none. */
export interface LogoPiece extends Placed {
  kind: 'logo'
}

export const repeatPatterns = ['straight', 'brick', 'half-drop', 'mirrored'] as const

/** What a repeat is made of. */
export type Repeated =
  | { kind: 'form'; form: CoverForm; points?: number; depth?: number }
  | { kind: 'ornament'; ornament: string }
  | { kind: 'letter'; letter: string }
  | { kind: 'picture'; asset: string }

/** One thing over and over in a box. */
export interface RepeatPiece extends Placed {
  kind: 'repeat'
  of: Repeated
  colour: string
  /** Of letters. */
  face?: string
  pattern: (typeof repeatPatterns)[number]
  /** Side of one, in parts of the front's width. */
  cell: number
  /** Between them, in parts of one; none where absent. */
  apart?: { x: number; y: number }
  /** Degrees that each is turned by. */
  tilt?: number
  /** How far each strays by chance, 0 to 1. */
  jitter?: number
  seed?: number
  opacity?: number
}

export type CoverPiece = TextPiece | ShapePiece | PicturePiece | OrnamentPiece | LogoPiece | RepeatPiece

/** Whether a piece is words. */
export const isWords = (piece: CoverPiece): piece is TextPiece => piece.kind === undefined || piece.kind === 'text'
