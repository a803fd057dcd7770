export { drawDesign } from './draw'
export { type DesignControl, type DesignKind } from './kind'
export { designKinds, designOf } from './registry'
export { designSchema } from './schema'
