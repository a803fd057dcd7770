export * from './planPages'
export * from './plans'
export * from './rulings'
