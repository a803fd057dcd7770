import { puzzleKinds } from '../puzzles'
import type { RunKind } from './kind'
import { answers } from './kinds/answers'
import { howTo } from './kinds/how-to'
import { budget } from './kinds/budget'
import { checklist } from './kinds/checklist'
import { comic } from './kinds/comic'
import { day } from './kinds/day'
import { habits } from './kinds/habits'
import { indexPages } from './kinds/index-pages'
import { month } from './kinds/month'
import { readingLog } from './kinds/reading-log'
import { recipe } from './kinds/recipe'
import { tracker } from './kinds/tracker'
import { travelLog } from './kinds/travel-log'
import { week } from './kinds/week'
import { year } from './kinds/year'
import { bookplate } from './kinds/bookplate'
import { elsewhere } from './kinds/elsewhere'
import { own } from './kinds/own'
import { pictures } from './kinds/pictures'
import { prompts } from './kinds/prompts'
import { blank } from './kinds/blank'
import { cornell } from './kinds/cornell'
import { dot } from './kinds/dot'
import { graph } from './kinds/graph'
import { handwriting } from './kinds/handwriting'
import { hexagon } from './kinds/hexagon'
import { isometric } from './kinds/isometric'
import { lined } from './kinds/lined'
import { log } from './kinds/log'
import { puzzleRun } from './kinds/puzzle'
import { staves } from './kinds/staves'
import { storyboard } from './kinds/storyboard'

/** Every kind of run there is, in the order they are offered. A new one is a folder of its own and a line here. */
export const runKinds: readonly RunKind[] = [
  lined,
  dot,
  graph,
  isometric,
  hexagon,
  staves,
  handwriting,
  cornell,
  storyboard,
  comic,
  blank,
  log,
  checklist,
  indexPages,
  habits,
  tracker,
  budget,
  recipe,
  readingLog,
  prompts,
  travelLog,
  day,
  week,
  month,
  year,
  ...puzzleKinds.map(puzzleRun),
  howTo,
  answers,
  bookplate,
  pictures,
  own,
  elsewhere,
]

const byId = new Map(runKinds.map(k => [k.id, k]))
export const kindOf = (id: string): RunKind | undefined => byId.get(id)
