export * from './consequences'
export * from './graph'
