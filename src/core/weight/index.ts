export {
  canBeLightened,
  LEAST_LIKENESS,
  type LightAim,
  type LightBook,
  lightenBook,
  type Lightener,
  type LightWish,
} from './book'
export { type CodecModule, type Codecs, loadCodecs } from './codecs'
export { createLightener, type KeptLight, keptFor, type LightPorts } from './lightener'
export { type LightPicture, lighten, SCREENS, usualScreen } from './lighten'
export type { Study } from './study'
