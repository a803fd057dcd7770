export * from './migrate'
export * from './project'
export * from './library'
export * from './styleMigration'
