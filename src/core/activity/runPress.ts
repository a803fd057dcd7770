import type { Asset, HandPage, Run } from '../book'
import { type Layer, LayerBuilder } from '../marks'
import { Fault, type Ticker } from '../trade'
import { type FontShelf, TextStyle } from '../type'
import type { WordSource } from '../words'
import { drawAnswers, drawPage, type PageOn } from './drawPage'
import { type Hands, handsOn, sourceOfPage } from './hand'
import { askedOf, headedAlike } from './heading'
import type { Control, Leaf, MadeRun, Room, RunKind, Side, StyleOf } from './kind'
import { lookOf } from './looks'
import { picturesIn } from './picturesIn'
import { referred } from './referred'
import { kindOf } from './registry'

/** A run's pages as they were drawn last: by page and side; one for all where they are alike. */
type Drawn = Map<string, Layer>

/** What a plan's pages are drawn in. */
export interface Drawing {
  /** All runs of the plan: those that others refer to are among them. */
  runs: readonly Run[]
  room: Room
  language: string
  /** Id of the plan's look. */
  look?: string | undefined
  /** In large print. */
  large?: boolean | undefined
  /** The sides on which its printed pages stand; in turn from a right-hand one where it is not said. */
  sides?: readonly Side[] | undefined
  /** The leaf about the room of a right-hand page, and of a left-hand one; where it is not said, the room is all there is. */
  leaves?: Readonly<Record<Side, Leaf>> | undefined
  /** Folios of the printed pages of runs, where references are printed. */
  folios?: ReadonlyMap<string, readonly string[]> | undefined
  /** The book's pictures by id. */
  assets?: ReadonlyMap<string, Asset> | undefined
  /** It is a sample of a kind: what stands for the author's own is drawn. */
  isSample?: boolean | undefined
  /** Printed pages of the run that are looked at, from 0, where not all are: the others are left out. */
  only?: ReadonlySet<number> | undefined
  ticker?: Ticker | undefined
}

/** What a run is made among. */
export type MadeOf = Pick<Drawing, 'runs' | 'language' | 'ticker'>

/**
 * Draws runs and keeps what was drawn: what a run's pages show is made once, and each page drawn once, as long as nothing that it is
 * made of changes. What has not been asked for since the last two whole plans is let go.
 */
export class RunPress {
  private readonly drawn = new Kept<Drawn>()
  private readonly made = new Kept<unknown>()
  private readonly offending = new Kept<string[]>()
  private readonly styles = new Map<string, Promise<TextStyle>>()

  constructor(private readonly shelf: FontShelf) {}

  /** Layers of all pages of a run, or of those that are looked at, by index; the same object where pages look alike. Throws a Fault where nothing knows its kind. */
  async layersOf(run: Run, drawing: Drawing): Promise<Layer[]> {
    const kind = knownKind(run)
    return this.kept(run, drawing, { back: false }, (made, index, on) => drawPage(kind, run, made, index, on))
  }

  /** Backs of the leaves of a run that answer what their fronts ask. */
  async backsOf(run: Run, drawing: Drawing): Promise<Layer[]> {
    const kind = knownKind(run)
    const each = run.each ?? 1
    return this.kept(run, drawing, { back: true }, async (made, index, on) => {
      const out = new LayerBuilder()
      const place = { section: `run:${run.id}`, block: 'back' }
      const hands = await handsOn(run, kind, made)
      const asked = Array.from({ length: each }, (_, i) => index * each + i)
      await drawAnswers({ run, kind, made, hands }, asked, each, { ...on, folioOf: undefined, out, place, top: 0 })
      return out.build()
    })
  }

  private async kept(
    run: Run,
    drawing: Drawing,
    { back }: { back: boolean },
    draw: (made: unknown, index: number, on: PageOn) => Promise<Layer>,
  ): Promise<Layer[]> {
    const { runs, room, language, sides, only, ticker } = drawing
    const kind = knownKind(run)
    const look = lookOf(drawing.look)
    const print = drawing.large ? LARGE_PRINT : 1
    const { pages, hand: _hand, ...rest } = run
    const folioOf = folios(run, drawing)
    const shown = picturesShown(run, drawing)
    const alike = kind.alike && headedAlike(run) && !back
    const sided = kind.sided || look.head.at === 'outside' || look.head.number === 'disc'
    const some = only && kind.singly && !this.made.has(this.madeKey(run, drawing)) ? thingsOn(run, only) : undefined
    const made = await this.madeFor(run, drawing, some)
    const { on: hands } = back ? NO_HANDS : await handsOn(run, kind, made)
    // Where pages are alike, how many there are changes none of them.
    const key = JSON.stringify([
      rest,
      room,
      drawing.leaves,
      language,
      look.id,
      print,
      back && [run.hand],
      sourceOf(run, runs),
      referred(run, runs),
      folioOf?.key,
      shown,
      drawing.isSample,
      // What is made without the others may be twins of them: it is never taken for what is made with them.
      some,
    ])
    const drawn = this.drawn.get(key) ?? this.drawn.set(key, new Map<string, Layer>())
    const layers: Layer[] = []
    const bodies = new Map<string, Layer>()
    for (let i = 0; i < pages; i++) {
      if (only && !only.has(i)) continue
      const side = back ? 'verso' : (sides?.[i] ?? (run.backs || i % 2 === 0 ? 'recto' : 'verso'))
      const hand = hands.get(i)
      const page = hand ? handKey(hand, i, side, drawing) : `${alike ? 0 : i}${sided ? side : ''}`
      let layer = drawn.get(page)
      if (!layer) {
        await ticker?.({ stage: 'Drawing pages', done: i, of: pages })
        layer = await draw(made, i, {
          room,
          leaf: drawing.leaves?.[side] ?? { ...room, x: 0, y: 0, bleed: { top: 0, right: 0, bottom: 0, left: 0 } },
          side,
          language,
          look,
          hand,
          bodies,
          styleOf: this.styleIn(language),
          print,
          assets: drawing.assets,
          folioOf: folioOf?.at,
          isSample: drawing.isSample,
        })
        drawn.set(page, layer)
      }
      layers[i] = layer
    }
    return layers
  }

  /** The author's hand on a run as it lies now; on nothing where the run cannot be made. */
  async handsOf(run: Run, of: MadeOf): Promise<Hands> {
    return run.hand?.length ? handsOn(run, knownKind(run), await this.madeFor(run, of)) : NO_HANDS
  }

  /** What a page of a run is made from, by its name. */
  async sourceAt(run: Run, index: number, of: MadeOf): Promise<string> {
    return sourceOfPage(run, knownKind(run), await this.madeFor(run, of), index)
  }

  /** What a run's pages ask, by the names that twins share; none where nothing is asked. */
  async twinsOf(run: Run, of: MadeOf): Promise<string[]> {
    const { id, twins } = knownKind(run)
    return twins ? twins(await this.madeFor(run, of)).map(name => `${id}/${name}`) : []
  }

  /** Those of the author's own words in a run that are likely to offend. */
  async offendingIn(run: Run, { language }: Pick<MadeOf, 'language'>): Promise<string[]> {
    const own = ownWords(run)
    if (!own.length) return []
    const key = JSON.stringify([own, language])
    if (!this.offending.has(key)) {
      // Words are loaded when they are first wanted: they are large.
      const { offending, readWordTable } = await import('../words')
      const words = own.flatMap(text => readWordTable(text, 'Words').lists.flatMap(l => l.words.map(w => w.word)))
      this.offending.set(key, offending(words, language))
    }
    return this.offending.get(key)!
  }

  /** What a run's pages show, made once as long as nothing that it is made of changes. */
  private async madeFor(run: Run, of: MadeOf, only?: readonly number[]): Promise<unknown> {
    const kind = knownKind(run)
    const { params, seed } = run
    const { runs, language, ticker } = of
    const key = this.madeKey(run, of, only)
    if (this.made.has(key)) return this.made.get(key)
    const other = referred(run, runs)
    const from: MadeRun | undefined = other && {
      run: other,
      kind: knownKind(other),
      made: await this.madeFor(other, of),
      hands: await this.handsOf(other, of),
    }
    const avoid = await this.twinsBefore(run, of)
    try {
      return this.made.set(
        key,
        await kind.make({ params, seed, language, count: askedOf(run), only, other: from, avoid, ticker }),
      )
    } catch (e) {
      // What is wrong with values is wrong with those of this run.
      if (e instanceof Fault && e.place === undefined) throw new Fault(e.code, e.message, run.id, e.remedy)
      throw e
    }
  }

  private madeKey(run: Run, { runs, language }: MadeOf, only?: readonly number[]): string {
    return JSON.stringify([sourceOf(run, runs), referred(run, runs), language, only])
  }

  private async twinsBefore(run: Run, of: MadeOf): Promise<ReadonlySet<string>> {
    const twins = new Set<string>()
    const { twins: twinsOf } = knownKind(run)
    if (twinsOf)
      for (const other of before(run, of.runs)) {
        const made = await this.madeFor(other, of).catch(e => {
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
    this.offending.turn()
  }

  /** Styles of small print, each made once: they remember the words that they have shaped. */
  private styleIn(language: string): StyleOf {
    return (face, size, tone = 1) => {
      const key = `${face}/${size}/${tone}/${language}`
      let style = this.styles.get(key)
      if (!style) {
        // Sizes that follow a page's width are many over time.
        if (this.styles.size > MOST_STYLES) this.styles.clear()
        this.styles.set(key, (style = smallPrint(face, size, language, this.shelf, tone)))
        style.catch(() => this.styles.delete(key))
      }
      return style
    }
  }
}

/** What some pages of a run show, from 0. */
const thingsOn = ({ each = 1 }: Run, pages: ReadonlySet<number>): number[] =>
  [...pages].sort((a, b) => a - b).flatMap(page => Array.from({ length: each }, (_, i) => page * each + i))

const NO_HANDS: Hands = { on: new Map(), waiting: [] }

/** A page that the author's hand lies on is drawn by itself. */
const handKey = (hand: HandPage, index: number, side: Side, { assets }: Drawing): string =>
  JSON.stringify([index, side, hand, hand.added?.map(a => assets?.get(String(a.params.picture)) ?? null)])

const MOST_STYLES = 200
/** Small print of 8 to 11 points becomes one of 12 to 16. */
export const LARGE_PRINT = 1.5

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

/** Texts of the author's own words that a run is made of. */
function ownWords({ kind, params }: Run): string[] {
  const controls = Object.entries(kindOf(kind)?.controls ?? {}) as [string, Control][]
  return controls.flatMap(([name, c]) => {
    const source = params[name] as WordSource | undefined
    return c.as === 'words' && !c.sayings && source && !source.bank && source.text.trim() ? [source.text] : []
  })
}

/** What the book has of the pictures that a run shows. */
const picturesShown = (run: Run, { assets }: Drawing): unknown[] => picturesIn(run).map(id => assets?.get(id) ?? null)

/** The folio of what answers a run, or of what a run answers, by which of it; `key`: all that it follows from. */
function folios(
  run: Run,
  { runs, folios: all }: Drawing,
): { key: unknown; at: (index: number) => string | undefined } | undefined {
  if (!all) return undefined
  const kind = knownKind(run)
  const other = referred(run, runs)
  if (kind.answerPage && other) {
    const known = all.get(other.id)
    return { key: known, at: i => known?.[Math.floor(i / (other.each ?? 1))] }
  }
  const answering = runs.find(r => kindOf(r.kind)?.answerPage && referred(r, runs) === run)
  if (!answering) return undefined
  const known = all.get(answering.id)
  return { key: known, at: i => known?.[knownKind(answering).answerPage!(answering.params, i)] }
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
    kind.alike ? 0 : askedOf(run),
    kind.twins ? before(run, runs).map(r => [r.params, r.seed, askedOf(r)]) : [],
    other && sourceOf(other, runs),
  ]
}

function knownKind(run: Run): RunKind {
  const kind = kindOf(run.kind)
  if (!kind) throw new Fault('run', `There is no kind of page called “${run.kind}”.`, run.id)
  return kind
}

/** Text of planned pages: their folios, headings, heads of columns. Signs that the face lacks come from the house's own. */
export async function smallPrint(
  face: string,
  size: number,
  language: string,
  shelf: FontShelf,
  tone = 1,
): Promise<TextStyle> {
  const faces = [await shelf.face(face), await shelf.face('eb-garamond/regular')]
  return new TextStyle({ faces, size, features: ['lnum'], language, colour: { k: tone } })
}
