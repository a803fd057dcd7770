import { puzzleKinds } from '../puzzles'
import type { RunKind } from './kind'
import { answers } from './kinds/answers'
import { howTo } from './kinds/how-to'
import { blank } from './kinds/blank'
import { dot } from './kinds/dot'
import { lined } from './kinds/lined'
import { log } from './kinds/log'
import { puzzleRun } from './kinds/puzzle'

/** Every kind of run there is, in the order they are offered. A new one is a folder of its own and a line here. */
export const runKinds: readonly RunKind[] = [lined, dot, log, blank, ...puzzleKinds.map(puzzleRun), howTo, answers]

const byId = new Map(runKinds.map(k => [k.id, k]))
export const kindOf = (id: string): RunKind | undefined => byId.get(id)
