export * from './inspect'
export * from './write'
export { safeHref } from './xhtml'
