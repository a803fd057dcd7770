// The program opens on the porch.
export { default } from './porch/page'
