import { type Cover, frontPage } from '../cover'
import type { OutletProfile } from '../trade'
import type { DeliveryPorts, PaintedPage } from './ports'

/** Height of a front picture where the outlet asks for nothing else, pixels. */
const USUAL = 2560

/** Height of the front picture in pixels: well inside what the outlet takes. */
export const frontHeight = ({ ebook }: Pick<OutletProfile, 'ebook'>): number =>
  ebook ? Math.min(ebook.frontMost, Math.max(ebook.frontLeast, USUAL)) : USUAL

/** The front of a cover as a picture of so many pixels in height. */
export const frontPicture = (cover: Cover, height: number, { paint }: DeliveryPorts): Promise<PaintedPage> =>
  paint(frontPage(cover), height)
