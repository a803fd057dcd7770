export * from './profiles'
export * from './royalty'
export * from './reckon'
