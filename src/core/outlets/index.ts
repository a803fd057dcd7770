export { type Beginning, firstEdition, firstEditions, takesKind } from './begin'
export { clockDate, CLOCK_START, HOURS_A_DAY, type Hours, isHours, yearOf } from './clock'
export { type KeywordRoom, keywordRoom } from './keywords'
export {
  type Difference,
  drift,
  foldListing,
  hasPackage,
  type ListingEvent,
  type ListingSnapshot,
  type ListingState,
  type ListingStatus,
  type Proof,
  reviewReasons,
  revisionFee,
  type Submission,
  unitOf,
  wantsProof,
} from './listing'
export { categoryTrees, listingFindings, slotProblems, stemsOf } from './listingRules'
export { homeOutlet, profileOf, shippedProfiles } from './profiles'
export { reckon, type Reckoning, type Wish } from './reckon'
export {
  currenciesOf,
  type Earning,
  ebookMoney,
  type EbookMoney,
  exchange,
  leastEbookPrice,
  printMoney,
  type PrintMoney,
  type Sale,
  territoryOf,
} from './royalty'
