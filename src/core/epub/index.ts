export { type EpubTrouble, inspectEpub } from './inspect'
export { writeEpub } from './write'
