export { type Corners, layerBox } from './bounds'
export { LayerBuilder, type RunStart } from './builder'
export {
  BLACK,
  type Colour,
  type Edges,
  type GlyphFace,
  type GroupMark,
  type ImageMark,
  type Item,
  type Layer,
  type MarkPlace,
  type PageMarks,
  type PathMark,
  type PieceMark,
  rgb,
  type TextTable,
} from './marks'
export { type Canvas2D, paintPage, type Pictures } from './paint'
export { Op, type Path, pathBox, PathBuilder, pathFromSvg, transformPath } from './path'
export { spanWithin } from './spans'
export { scaled } from './scaled'
export { imagesOn, pageText, shownBox, visitPage } from './read'
export { type Elsewhere, pageDrawing } from './drawing'
export { pageSvg, pathData } from './svg'
