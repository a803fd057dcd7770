export { type AccessGap, accessGaps } from './access'
export { buildEpub, type EpubOptions, writeEpub } from './build'
export { carriedFaces, type EmbeddedFace, mayBeCarried, type UsedText } from './faces'
export { type EpubTrouble, inspectEpub } from './inspect'
