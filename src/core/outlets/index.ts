export * from './profiles'
export * from './royalty'
