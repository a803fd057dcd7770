import { isRecord } from './isRecord'

/**
 * From version 3 to 4 of a project (5 to 6 of the store): a run's values stood beside its name; they stand under `params` now, as its
 * kind says them, and a heading is words with or without a number. Walks any record, since histories hold runs inside changes and
 * name places inside of them. Pure; what is of this version stays as it is.
 */
export function withRunParams<T>(value: T): T {
  if (Array.isArray(value)) return value.map(withRunParams) as T
  if (!isRecord(value)) return value
  const all = Object.fromEntries(Object.entries(value).map(([key, v]) => [key, withRunParams(v)]))
  return (isOldRun(all) ? asRun(all) : isRunPatch(all) ? asPatch(all) : all) as T
}

type Json = Record<string, unknown>
interface RunPatch extends Json {
  path: (string | number)[]
}

const OLD_KINDS = ['blank', 'lined', 'dot', 'log']
const VALUES = ['spacing', 'tone', 'columns']

const isOldRun = (v: Json): boolean =>
  OLD_KINDS.includes(v.kind as string) && 'pages' in v && 'spacing' in v && 'tone' in v && !('params' in v)

function asRun({ spacing, tone, columns, heading, ...rest }: Json): Json {
  const ruled = { spacing, tone }
  const own = {
    blank: {},
    lined: ruled,
    dot: ruled,
    log: { ...ruled, columns: hasColumns(columns) ? columns : [{ name: '', share: 1 }] },
  }
  return { ...rest, ...asHeading(heading), seed: 1, params: own[rest.kind as keyof typeof own] }
}

const hasColumns = (v: unknown): boolean => Array.isArray(v) && v.length > 0
const asHeading = (heading: unknown): Json => (heading ? { heading: { words: heading } } : {})

/** A place inside a run, in a change: ["plan", "runs", 2, "spacing"]. */
const isRunPatch = (v: Json): v is RunPatch =>
  Array.isArray(v.path) && v.path[0] === 'plan' && v.path[1] === 'runs' && v.path.length > 3

function asPatch({ path, before, after, ...rest }: RunPatch): Json {
  const [plan, runs, number, key, ...inner] = path
  const both = (turn: (v: unknown) => unknown): Json => ({
    ...(before === undefined ? {} : { before: turn(before) }),
    ...(after === undefined ? {} : { after: turn(after) }),
  })
  if (VALUES.includes(key as string))
    return { ...rest, path: [plan, runs, number, 'params', key, ...inner], ...both(v => v) }
  if (key === 'heading' && !inner.length)
    return { ...rest, path, ...both(v => (typeof v === 'string' ? { words: v } : v)) }
  return { ...rest, path, ...both(v => v) }
}
