import type { Run } from '../book'
import { type Layer, LayerBuilder } from '../marks'
import { Fault, type Ticker } from '../trade'
import { type FontShelf, setFrag, TextStyle } from '../type'
import type { Room, RunKind } from './kind'
import { kindOf } from './registry'

/** The heading of a page, points. */
const HEADING = { face: 'fraunces/bold', size: 13, height: 26 }

/** A run's pages as they were drawn last. */
interface Kept {
  made: unknown
  /** By page; one for all where they are alike. */
  layers: Map<number, Layer>
}

/**
 * Draws runs and keeps what was drawn: what a run's pages show is made once, and each page drawn once, as long as nothing that it is
 * made of changes. What has not been asked for since the last two whole plans is let go.
 */
export class RunPress {
  private kept = new Map<string, Kept>()
  private before = new Map<string, Kept>()

  constructor(private readonly shelf: FontShelf) {}

  /** Layers of all pages of a run, in order; the same object where pages look alike. Throws a Fault where nothing knows its kind. */
  async layersOf(run: Run, room: Room, language: string, ticker?: Ticker): Promise<Layer[]> {
    const kind = kindOf(run.kind)
    if (!kind) throw new Fault('run', `There is no kind of page called “${run.kind}”.`, run.id)
    const { pages, ...rest } = run
    const alike = kind.alike && run.heading?.from === undefined
    // Where pages are alike, how many there are changes none of them.
    const key = JSON.stringify([rest, room, language, kind.alike ? 0 : pages])
    const known = this.kept.get(key) ?? this.before.get(key)
    const kept = known ?? { made: await kind.make(run.params, run.seed, pages, ticker), layers: new Map() }
    this.kept.set(key, kept)
    const layers: Layer[] = []
    for (let i = 0; i < pages; i++) {
      const page = alike ? 0 : i
      let layer = kept.layers.get(page)
      if (!layer) {
        await ticker?.({ stage: 'Drawing pages', done: i, of: pages })
        kept.layers.set(page, (layer = await this.draw(kind, run, { made: kept.made, index: page }, room, language)))
      }
      layers.push(layer)
    }
    return layers
  }

  /** Says that a whole plan was drawn: what neither it nor the one before asked for is let go. */
  turn(): void {
    this.before = this.kept
    this.kept = new Map()
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
      const style = await styleOf(HEADING.face, HEADING.size)
      const frag = style.frag(from === undefined ? words : `${words} ${from + index}`)
      setFrag(out, frag, { x: Math.max(0, (room.width - frag.width) / 2), y: HEADING.size, place })
      top = HEADING.height
    }
    await kind.draw({ out, params: run.params, made, index, room, top, place, styleOf })
    return out.build()
  }
}

/** Text of planned pages: their folios, headings, heads of columns. Signs that the face lacks come from the house's own. */
export async function smallPrint(face: string, size: number, language: string, shelf: FontShelf): Promise<TextStyle> {
  const faces = [await shelf.face(face), await shelf.face('eb-garamond/regular')]
  return new TextStyle({ faces, size, features: ['lnum'], language, colour: { k: 1 } })
}
