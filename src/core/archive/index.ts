export * from './migrate'
export * from './project'
