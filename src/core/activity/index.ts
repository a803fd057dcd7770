export * from './plans'
export * from './rulings'
