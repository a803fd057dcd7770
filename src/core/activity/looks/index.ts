import chartTable from './chart-table.json' with { type: 'json' }
import countingHouse from './counting-house.json' with { type: 'json' }
import guildhall from './guildhall.json' with { type: 'json' }
import lampRoom from './lamp-room.json' with { type: 'json' }
import laneEnd from './lane-end.json' with { type: 'json' }
import type { PageLook } from './look'
import nursery from './nursery.json' with { type: 'json' }
import plain from './plain.json' with { type: 'json' }
import readingRoom from './reading-room.json' with { type: 'json' }

export { drawFolio, FOLIO_SIZE, folioHeight } from './folio'
export { drawFrame, frameInset } from './frame'
export { drawHead, type HeadWords } from './head'
export { lookSchema, type PageLook } from './look'

/** The looks that ship, in the order they are offered. */
export const pageLooks = [
  plain,
  laneEnd,
  countingHouse,
  lampRoom,
  chartTable,
  nursery,
  readingRoom,
  guildhall,
] as readonly PageLook[]

const byId = new Map(pageLooks.map(l => [l.id, l]))
/** A look by its id; the plain one where it is none. */
export const lookOf = (id: string | undefined): PageLook => byId.get(id ?? '') ?? pageLooks[0]!
