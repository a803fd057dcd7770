export * from './inspect'
export * from './write'
