import type { ProofKind } from './doubt'
import { alike } from './kinds/alike'
import { colons } from './kinds/colons'
import { hyphens } from './kinds/hyphens'
import { names } from './kinds/names'
import { numbers } from './kinds/numbers'
import { overused } from './kinds/overused'
import { pairs } from './kinds/pairs'
import { signs } from './kinds/signs'
import { spaces } from './kinds/spaces'
import { spelling } from './kinds/spelling'
import { spellings } from './kinds/spellings'
import { starts } from './kinds/starts'
import { twice } from './kinds/twice'

/** All kinds of doubt, in the order in which they are offered. */
export const proofKinds: readonly ProofKind[] = [
  spelling,
  twice,
  names,
  spellings,
  hyphens,
  spaces,
  signs,
  pairs,
  starts,
  colons,
  numbers,
  overused,
  alike,
]
