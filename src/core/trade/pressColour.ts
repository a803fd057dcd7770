import { printRules } from './print'
import type { OutletProfile } from './profile'

/** What colours of a page are said in; `spot`: an ink of its own. */
export type PressColour = 'grey' | 'rgb' | 'cmyk' | 'spot'

/** What colours of a file are said in: as a screen has them, or as a press's inks. */
export type FileColour = 'rgb' | 'cmyk'

/** What a printer takes: inks where its profile says so, or asks for PDF/X-1a, which knows no other colours. */
export function colourFor(profile: OutletProfile): FileColour {
  const { colour, pdf } = printRules(profile)
  return colour ?? (pdf === 'plain' ? 'rgb' : 'cmyk')
}
