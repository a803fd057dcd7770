import { type Book, type DesignPiece, type PagePlan, type Run, withWritten } from '../../book'
import { seedOf } from '../../trade'
import type { WordSource } from '../../words'
import { fitted, referred } from '../referred'
import { kindOf } from '../registry'
import { freshRunId } from '../run'
import type { Control } from '../kind'

/** Runs with everything they use, kept for other books: one run with its answers, or a whole book. */
export interface Recipe {
  id: string
  name: string
  /** What comes of it, in a few words. */
  says: string
  /** The trim that it is meant for, where it is one: "8.5x11in". */
  trim?: string
  /** What is written before and behind its runs, in English: put into a book that has no page of that part yet, to be changed there. */
  sections?: RecipeSection[]
  /** How what is written departs from the style that the edition has: on large leaves its letters are larger, its measure shorter. */
  style?: Record<string, number>
  plan: PagePlan
}

/** A written page of a recipe. */
export interface RecipeSection {
  role: (typeof recipeRoles)[number]
  title: string
  /** Its paragraphs. */
  words: string[]
}
export const recipeRoles = ['foreword', 'afterword'] as const

/** What a book that is made by a recipe is asked beside its title. */
export interface Asked {
  words?: WordSource
  /** The first day of what is dated. */
  from?: string
}

/** The first control of a run that is set with one thing: the value that a recipe asks for. */
const valueOf = (run: Run, as: Control['as']): string | undefined =>
  Object.entries((kindOf(run.kind)?.controls ?? {}) as Record<string, Control>).find(([, c]) => c.as === as)?.[0]

/** Words are asked for that have no more to them than a list: where each wants a clue, a bank that has some is kept. */
const takesWords = (run: Run): string | undefined => {
  const name = valueOf(run, 'words')
  const control = name && (kindOf(run.kind)!.controls as Record<string, Control>)[name]
  return control && control.as === 'words' && !control.clued ? name : undefined
}
const isDated = (run: Run): boolean => run.params.dated === 'dated' && typeof run.params.from === 'string'

/** What a recipe asks beside a title, as it has it itself. */
export function asksOf({ plan: { runs } }: Recipe): Asked {
  const worded = runs.find(takesWords)
  const dated = runs.find(isDated)
  return {
    ...(worded && { words: worded.params[takesWords(worded)!] as WordSource }),
    ...(dated && { from: String(dated.params.from) }),
  }
}

/**
 * A plan with a recipe's runs behind its own: their ids are the plan's next ones, what refers to one of them goes on doing so, and
 * their chance begins with `seed`. A plan without runs takes over what the recipe says of all pages, too.
 */
export function withRecipe(
  plan: PagePlan,
  { plan: from }: Recipe,
  { words, from: day, seed }: Asked & { seed: number },
): PagePlan {
  const empty = !plan.runs.length
  const runs: Run[] = [...plan.runs]
  const ids = new Map<string, string>()
  for (const { behind: _was, ...run } of from.runs) {
    const id = freshRunId({ ...plan, runs })
    ids.set(run.id, id)
    const params = structuredClone(run.params)
    const list = takesWords(run)
    if (words && list) params[list] = words
    if (day && isDated(run)) params.from = day
    runs.push({ ...structuredClone(run), id, params, seed: seedOf(`${seed}/${run.id}`) })
  }
  const joined = runs.map((run, i) => (i < plan.runs.length ? run : withReferences(run, ids)))
  const { runs: _theirs, ...all } = from
  return fitted({ ...(empty ? all : {}), ...plan, runs: joined })
}

/** A book with the written pages of a recipe, where it has none of that part yet: they are English, as a book must be to get them. */
export function withRecipeSections(book: Book, { sections = [] }: Recipe): Book {
  if (!/^en\b/i.test(book.data.language)) return book
  return sections.reduce(
    (b, { role, title, words }) => (b.sections.some(s => s.role === role) ? b : withWritten(b, role, title, words)),
    book,
  )
}

/** A run that names others by the ids that these have now. */
function withReferences(run: Run, ids: ReadonlyMap<string, string>): Run {
  const name = valueOf(run, 'run')
  const to = name && ids.get(String(run.params[name]))
  return to ? { ...run, params: { ...run.params, [name]: to } } : run
}

/** Pictures are a book's own, and what was done to single pages belongs to these: a run goes into another book without them. */
function withoutOwn({ hand: _hand, ground, backs, ...rest }: Run): Run {
  const run: Run = {
    ...rest,
    ...(ground && !ground.pictures && { ground }),
    ...(backs && { backs: backs.ground?.pictures ? { ...backs, ground: undefined } : backs }),
  }
  const bare = (value: unknown): unknown =>
    Array.isArray(value)
      ? value.map(p =>
          isPlaced(p) && p.params.picture ? { ...p, params: { ...p.params, picture: '' } } : (p as unknown),
        )
      : value
  const params = Object.fromEntries(Object.entries(run.params).map(([name, value]) => [name, bare(value)]))
  return valueOf(run, 'pictures') ? { ...run, pages: 0, params: { ...params, pictures: [] } } : { ...run, params }
}

const isPlaced = (value: unknown): value is DesignPiece =>
  typeof value === 'object' && value !== null && 'kind' in value && 'params' in value

/** A recipe of one run of a plan, with the answers and rules that belong to it; of all its runs where none is named. */
export function recipeOf(
  plan: PagePlan,
  of: { id: string; name: string; run?: string; trim?: string | undefined },
): Recipe {
  const { runs, ...all } = plan
  const kept = runs
    .filter(r => of.run === undefined || r.id === of.run || referred(r, runs)?.id === of.run)
    .map(({ behind: _was, ...r }) => withoutOwn(r))
  const pages = fitted({ runs: kept }).runs.reduce((n, r) => n + r.pages, 0)
  return {
    id: of.id,
    name: of.name,
    says: pages === 1 ? 'one page' : `${pages} pages`,
    ...(of.trim && { trim: of.trim }),
    plan: structuredClone({ ...all, runs: kept }),
  }
}
