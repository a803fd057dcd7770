export * from './statements'
