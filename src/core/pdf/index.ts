export * from './document'
export { type Pixels, type PictureSource, jpegHeader } from './images'
export * from './subset'
export type { Sink } from './file'
