export { blockBroughtBack, bookBroughtBack, sectionBroughtBack } from './bringBack'
export { type Difference, differenceOf, type SectionChanges, sectionsBetween } from './books'
export { type BlockChange, type BlockFate, blocksBetween } from './docs'
export { type Part, tokensOf, wordsBetween } from './words'
