import { type Cover, frontPage } from '../cover'
import type { OutletProfile } from '../trade'
import type { DeliveryPorts, PaintedAs, PaintedPage } from './ports'

/** Height of a front picture where the outlet asks for nothing else, pixels. */
const USUAL = 2560
const MB = 1e6

/** Height of the front picture in pixels: well inside what the outlet takes. */
const frontHeight = ({ ebook }: Pick<OutletProfile, 'ebook'>): number =>
  ebook ? Math.min(ebook.frontMost, Math.max(ebook.frontLeast, USUAL)) : USUAL

/** How much of a JPEG is kept, the best first; below the last its faults are seen. */
const LESS = [0.82, 0.74, 0.66, 0.58]

/** The front of a cover as a picture of the height and, as a JPEG, no heavier than the outlet takes, as far as it can be. */
export async function frontPicture(
  cover: Cover,
  profile: Pick<OutletProfile, 'ebook'>,
  { paint }: DeliveryPorts,
  type: PaintedAs['type'] = 'jpeg',
): Promise<PaintedPage> {
  const [page, height] = [frontPage(cover), frontHeight(profile)]
  if (type === 'png') return paint(page, height, { type })
  const most = (profile.ebook?.frontMb ?? Infinity) * MB
  let made = await paint(page, height)
  for (const quality of LESS) {
    if (made.bytes.length <= most) break
    made = await paint(page, height, { type, quality })
  }
  return made
}
