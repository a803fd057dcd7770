import { merryGoRound } from './children/merryGoRound'
import { moonHills } from './children/moonHills'
import { kitchenTiles } from './cookery/kitchenTiles'
import { marketDay } from './cookery/marketDay'
import { highKingdom } from './fantasy/highKingdom'
import { wyrmScale } from './fantasy/wyrmScale'
import { monument } from './history/monument'
import { oldChart } from './history/oldChart'
import { plainSpeaking } from './howTo/plainSpeaking'
import { stairs } from './howTo/stairs'
import type { DesignKind } from './kind'
import { archedWindow } from './memoir/archedWindow'
import { cutLetters } from './memoir/cutLetters'
import { caseFile } from './mystery/caseFile'
import { lampOverTide } from './mystery/lampOverTide'
import { nightStreet } from './mystery/nightStreet'
import { bigPrint } from './planned/bigPrint'
import { confetti } from './planned/confetti'
import { fieldNotes } from './planned/fieldNotes'
import { letterSoup } from './planned/letterSoup'
import { roundel } from './planned/roundel'
import { rows } from './planned/rows'
import { twelveMoons } from './planned/twelveMoons'
import { eveningSun } from './romance/eveningSun'
import { letterInLeaves } from './romance/letterInLeaves'
import { lowWater } from './verse/lowWater'
import { singleLeaf } from './verse/singleLeaf'

/** All designs that ship, by genre. A new one is a file and a line here. */
export const designKinds: readonly DesignKind[] = [
  lampOverTide,
  nightStreet,
  caseFile,
  letterInLeaves,
  eveningSun,
  highKingdom,
  wyrmScale,
  oldChart,
  monument,
  archedWindow,
  cutLetters,
  plainSpeaking,
  stairs,
  merryGoRound,
  moonHills,
  singleLeaf,
  lowWater,
  marketDay,
  kitchenTiles,
  rows,
  fieldNotes,
  letterSoup,
  confetti,
  bigPrint,
  twelveMoons,
  roundel,
]
