import type { Run } from '../book'
import { type Layer, LayerBuilder } from '../marks'
import { Fault, type Ticker } from '../trade'
import { type FontShelf, setFrag, TextStyle } from '../type'
import type { MadeRun, Room, RunKind } from './kind'
import { referred } from './referred'
import { kindOf } from './registry'

/** The heading of a page: its size follows the width of the page's room, points; its height is twice that. */
const HEADING = { face: 'fraunces/bold', ofWidth: 1 / 25, least: 13, most: 22 }

/** A run's pages as they were drawn last: by page; one for all where they are alike. */
type Drawn = Map<number, Layer>

/** What a plan's pages are drawn in. */
export interface Drawing {
  /** All runs of the plan: those that others refer to are among them. */
  runs: readonly Run[]
  room: Room
  language: string
  ticker?: Ticker | undefined
}

/**
 * Draws runs and keeps what was drawn: what a run's pages show is made once, and each page drawn once, as long as nothing that it is
 * made of changes. What has not been asked for since the last two whole plans is let go.
 */
export class RunPress {
  private readonly drawn = new Kept<Drawn>()
  private readonly made = new Kept<unknown>()

  constructor(private readonly shelf: FontShelf) {}

  /** Layers of all pages of a run, in order; the same object where pages look alike. Throws a Fault where nothing knows its kind. */
  async layersOf(run: Run, { runs, room, language, ticker }: Drawing): Promise<Layer[]> {
    const kind = knownKind(run)
    const { pages, ...rest } = run
    const alike = kind.alike && run.heading?.from === undefined
    const made = await this.madeFor(run, runs, ticker)
    // Where pages are alike, how many there are changes none of them.
    const key = JSON.stringify([rest, room, language, sourceOf(run, runs), referred(run, runs)])
    const drawn = this.drawn.get(key) ?? this.drawn.set(key, new Map<number, Layer>())
    const layers: Layer[] = []
    for (let i = 0; i < pages; i++) {
      const page = alike ? 0 : i
      let layer = drawn.get(page)
      if (!layer) {
        await ticker?.({ stage: 'Drawing pages', done: i, of: pages })
        drawn.set(page, (layer = await this.draw(kind, run, { made, index: page }, room, language)))
      }
      layers.push(layer)
    }
    return layers
  }

  /** What a run's pages ask, by the names that twins share; none where nothing is asked. */
  async twinsOf(run: Run, runs: readonly Run[], ticker?: Ticker): Promise<string[]> {
    const { id, twins } = knownKind(run)
    return twins ? twins(await this.madeFor(run, runs, ticker)).map(name => `${id}/${name}`) : []
  }

  /** What a run's pages show, made once as long as nothing that it is made of changes. */
  private async madeFor(run: Run, runs: readonly Run[], ticker?: Ticker): Promise<unknown> {
    const kind = knownKind(run)
    const { params, seed, pages } = run
    const key = JSON.stringify([sourceOf(run, runs), referred(run, runs)])
    if (this.made.has(key)) return this.made.get(key)
    const other = referred(run, runs)
    const from: MadeRun | undefined = other && {
      run: other,
      kind: knownKind(other),
      made: await this.madeFor(other, runs, ticker),
    }
    const avoid = await this.twinsBefore(run, runs, ticker)
    try {
      return this.made.set(key, await kind.make({ params, seed, pages, other: from, avoid, ticker }))
    } catch (e) {
      // What is wrong with values is wrong with those of this run.
      if (e instanceof Fault && e.place === undefined) throw new Fault(e.code, e.message, run.id, e.remedy)
      throw e
    }
  }

  private async twinsBefore(run: Run, runs: readonly Run[], ticker?: Ticker): Promise<ReadonlySet<string>> {
    const twins = new Set<string>()
    const { twins: twinsOf } = knownKind(run)
    if (twinsOf)
      for (const other of before(run, runs)) {
        const made = await this.madeFor(other, runs, ticker).catch(e => {
          // A run that cannot be made says so itself, and has no twins.
          if (e instanceof Fault) return undefined
          throw e
        })
        if (made !== undefined) for (const twin of twinsOf(made)) twins.add(twin)
      }
    return twins
  }

  /** Says that a whole plan was drawn: what neither it nor the one before asked for is let go. */
  turn(): void {
    this.drawn.turn()
    this.made.turn()
  }

  private async draw(
    kind: RunKind,
    run: Run,
    { made, index }: { made: unknown; index: number },
    room: Room,
    language: string,
  ): Promise<Layer> {
    const out = new LayerBuilder()
    const place = { section: `run:${run.id}`, block: 'page' }
    const styleOf = (face: string, size: number): Promise<TextStyle> => smallPrint(face, size, language, this.shelf)
    let top = 0
    if (run.heading?.words) {
      const { words, from } = run.heading
      const size = Math.min(HEADING.most, Math.max(HEADING.least, Math.round(room.width * HEADING.ofWidth)))
      const style = await styleOf(HEADING.face, size)
      const frag = style.frag(from === undefined ? words : `${words} ${from + index}`)
      setFrag(out, frag, { x: Math.max(0, (room.width - frag.width) / 2), y: size, place })
      top = 2 * size
    }
    await kind.draw({ out, params: run.params, made, index, room, top, place, styleOf })
    return out.build()
  }
}

/** Values by what they were made from; what was not asked for between two turns is let go. */
class Kept<V> {
  private now = new Map<string, V>()
  private before = new Map<string, V>()

  has(key: string): boolean {
    return this.now.has(key) || this.before.has(key)
  }
  get(key: string): V | undefined {
    if (!this.now.has(key) && this.before.has(key)) this.now.set(key, this.before.get(key)!)
    return this.now.get(key)
  }
  set<W extends V>(key: string, value: W): W {
    this.now.set(key, value)
    return value
  }
  turn(): void {
    this.before = this.now
    this.now = new Map()
  }
}

/** Runs of the same kind that stand before one in the plan. */
function before(run: Run, runs: readonly Run[]): Run[] {
  const at = runs.findIndex(r => r.id === run.id)
  return runs.slice(0, Math.max(0, at)).filter(r => r.kind === run.kind)
}

/** All that what is made for a run follows from, but for the run it refers to itself. */
function sourceOf(run: Run, runs: readonly Run[]): unknown {
  const kind = knownKind(run)
  const other = referred(run, runs)
  return [
    kind.id,
    run.params,
    run.seed,
    kind.alike ? 0 : run.pages,
    kind.twins ? before(run, runs).map(r => [r.params, r.seed, r.pages]) : [],
    other && sourceOf(other, runs),
  ]
}

function knownKind(run: Run): RunKind {
  const kind = kindOf(run.kind)
  if (!kind) throw new Fault('run', `There is no kind of page called “${run.kind}”.`, run.id)
  return kind
}

/** Text of planned pages: their folios, headings, heads of columns. Signs that the face lacks come from the house's own. */
export async function smallPrint(face: string, size: number, language: string, shelf: FontShelf): Promise<TextStyle> {
  const faces = [await shelf.face(face), await shelf.face('eb-garamond/regular')]
  return new TextStyle({ faces, size, features: ['lnum'], language, colour: { k: 1 } })
}
