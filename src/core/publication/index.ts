export type { Epub, EpubItem, Landmark, NavEntry, PageEntry, SpineItem, Statement } from './epub'
export { isLocked } from './locked'
export { NCX } from './packageFile'
export { openEpub, readEpub } from './read'
export {
  coverOf,
  dc,
  itemWith,
  named,
  properties,
  property,
  readItems,
  refined,
  said,
  titleOf,
  withFallbacks,
} from './statements'
export { zipEpub } from './zip'
