export { type EbookChain, ebookChain, type EbookInputs } from './ebookChain'
export { designOf, ebookInputs, type EditionSource, printInputs, styleOf } from './editionInputs'
export { ebookFigures, type Figures, printFigures } from './figures'
export { createGraph, type Graph } from './graph'
export type { SharedInputs, Tools } from './inputs'
export { type Leaves, leavesOf } from './leaves'
export { type EditionOutlook, type Outlook, outlookOf, wordsOf } from './outlook'
export { ebookPackage, type MadePackage, printPackage } from './packageOf'
export { plannedLook, type PrintChain, printChain, type PrintInputs } from './printChain'
export { quickCover } from './quickCover'
export {
  type PictureWeight,
  weighedEdition,
  type WeightAtOutlet,
  weightAtOutlet,
  type Weights,
  weightsOf,
} from './weights'
export { type Refitted, refitted } from './refit'
