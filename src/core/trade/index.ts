export { dayOf } from './day'
export { isJpeg, isPdf, joinBytes, ownBytes, unshared } from './bytes'
export { alike } from './cells'
export { seeded, seedOf, shuffled } from './chance'
export { ceil, compare, div, exact, type Exact, mul, roundHalfUp, sub, toNumber } from './exact'
export { Fault, type Remedy } from './fault'
export * as fields from './fields'
export { formatIsbn, parseIsbn } from './isbn'
export { once } from './once'
export { formatLength, IN, inUnit, MM, trimZeros } from './length'
export { atDisplay, currencySign, formatMoney } from './money'
export { type Branch, nested } from './nested'
export {
  IMAGE_PPI,
  bindingName,
  bindingRules,
  bindingWord,
  costLine,
  finishesOf,
  insideMargin,
  leastPrintPrice,
  paperOf,
  printCost,
  printRoyalty,
  printRules,
  type PrintSpec,
  pts,
  roundPages,
  specProblems,
  spineThickness,
  withoutTax,
} from './print'
export {
  type BindingKind,
  type BindingRules,
  type PrintRules,
  type EbookRules,
  type Ink,
  type OutletProfile,
  profileSchema,
  readProfile,
  type StatementColumns,
  type Territory,
} from './profile'
export { currentProfile, plainColumns } from './profileMigration'
export { formatTrim, parseTrim } from './trim'
export { Cancelled, type Progress, type Report, type Ticker } from './ticker'
export { element, joined, Markup, xml } from './xml'
export { strangeKey } from './keys'
export { colourFor, type FileColour, type PressColour } from './pressColour'
export { steadyList } from './steadyList'
