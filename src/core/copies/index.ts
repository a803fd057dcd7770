export type { CopyFile, CopyKind } from './copyKind'
export { copyKinds, copyOf } from './copyOf'
