import { contours } from './contours'
import { dots } from './dots'
import { fade } from './fade'
import { hexagons } from './hexagons'
import type { MotifKind } from './kind'
import { knots } from './knots'
import { leaves } from './leaves'
import { marble } from './marble'
import { mountains } from './mountains'
import { paperCut } from './paperCut'
import { plain } from './plain'
import { rays } from './rays'
import { rows } from './rows'
import { scales } from './scales'
import { skyline } from './skyline'
import { stars } from './stars'
import { stripes } from './stripes'
import { tideAndLamp } from './tideAndLamp'
import { tiles } from './tiles'
import { waves } from './waves'

/** All motifs, by the name that a design keeps. */
export const motifs: Readonly<Record<string, MotifKind>> = {
  plain,
  fade,
  'tide and lamp': tideAndLamp,
  waves,
  rays,
  stars,
  mountains,
  skyline,
  leaves,
  contours,
  marble,
  'paper cut': paperCut,
  hexagons,
  scales,
  tiles,
  knots,
  rows,
  stripes,
  dots,
}
export const motifNames: readonly string[] = Object.keys(motifs)
