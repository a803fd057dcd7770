export {
  type CoverDesign,
  type CoverPiece,
  type DesignKind,
  dressed,
  designKind,
  designKinds,
  type Field,
  type Genre,
  genres,
  lampOverTide,
  type Palette,
  type PaletteName,
  paletteNames,
  paletteRoles,
  palettes,
  recoloured,
  rows,
  shippedDesigns,
} from './designs'
export {
  aligned,
  type Alignment,
  alignments,
  type Axis,
  type Boxes,
  distributed,
  moved,
  snapLines,
  snapped,
} from './arrange'
export { addOnOf, type ListPrice } from './barcode'
export { type Cover, drawCover, frontPage, nameOf, type SetPiece, sheetPages } from './draw'
export { flatMeasures, type Measure, type MeasureName } from './measures'
export { cutOut } from './cutOut'
export { isTreatment, type Treatment, treated, treatedFrom, treatmentWord } from './treatment'
export { ELSEWHERE, frontOn, type LyingSheet, onFlat, piecesShown, type Slice, wrapOn } from './elsewhere'
export type { Examined } from './examined'
export { folded, type Folded, type Ring, type Side, type Solid } from './folded'
export { type CoverSpec, type Flat, flatFor, type Rect, type Sheet, sheetSize, zoneOf } from './geometry'
export { type CoverGround } from './ground'
export { mix, toRgb } from './mix'
export { type MotifColour, type MotifKind, motifNames, motifs, type MotifValue } from './motifs'
export { outlineOfSvg } from './ownPath'
export { usualForm, wordsOf } from './pieces'
export { areaOf, boxInArea, boxOnFlat, keptIn, sheetOf, sizeIn } from './place'
export { coverTemplate } from './template'
export { settledOn, tiedOn } from './tied'
export { fromSpineBox, spineBox, type SpineReads, spineReads, spineTransform } from './spineText'
