export * from './check'
export * from './finding'
export type { Subject } from './subject'
