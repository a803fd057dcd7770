export * from './write'
export { safeHref } from './xhtml'
