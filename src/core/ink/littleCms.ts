import type { Lcms } from 'lcms-wasm'
import { Fault } from '../trade'
import type { Inks } from './inks'

/** Pixels that are turned at a time: what the module holds stays small. */
const PIECE = 1 << 20

/** Inks by an ICC profile of four (ICC.1:2001), relative to its paper, with black as deep as it has. `lcms` is the module that turns them, `wasm` its code. */
export async function loadInks(profile: Uint8Array, lcms: Lcms, wasm: Uint8Array): Promise<Inks> {
  const cms = await lcms.instantiate({ wasmBinary: wasm })
  const press = cms.cmsOpenProfileFromMem(profile, profile.length)
  if (!press || cms.cmsGetColorSpaceASCII(press) !== 'CMYK')
    throw new Fault('profile', 'This is no colour profile of four inks.')
  const screen = cms.cmsCreate_sRGBProfile()
  const way = (from: number, fromType: number, to: number, toType: number) =>
    cms.cmsCreateTransform(
      from,
      fromType,
      to,
      toType,
      lcms.INTENT_RELATIVE_COLORIMETRIC,
      lcms.cmsFLAGS_BLACKPOINTCOMPENSATION,
    )
  const toInks = way(screen, lcms.TYPE_RGB_8, press, lcms.TYPE_CMYK_8)
  const toScreen = way(press, lcms.TYPE_CMYK_8, screen, lcms.TYPE_RGB_8)
  const turned = (transform: number, bytes: Uint8Array, from: number, to: number): Uint8Array => {
    const pixels = bytes.length / from
    const out = new Uint8Array(pixels * to)
    for (let at = 0; at < pixels; at += PIECE) {
      const n = Math.min(PIECE, pixels - at)
      out.set(cms.cmsDoTransform(transform, bytes.subarray(at * from, (at + n) * from), n), at * to)
    }
    return out
  }
  return {
    name: cms.cmsGetProfileInfoASCII(press, lcms.cmsInfoDescription, 'en', 'US').replace(/\0.*$/s, ''),
    profile,
    separate: rgb => turned(toInks, rgb, 3, 4),
    seen: cmyk => turned(toScreen, cmyk, 4, 3),
  }
}
