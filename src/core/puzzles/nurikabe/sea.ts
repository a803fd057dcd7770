import { alike, shuffled } from '../../trade'
import { type Chart, LARGEST } from './waters'

/** How often a pool is broken by more of an island that is there already: less often in a wide sea, which large islands leave open. */
const grown = (cells: number): number => Math.min(0.6, 30 / cells)
/** Share of the islands that stay one cell large. */
const LONE = 0.3

const SEA = 1
const LAND = 0

/** A sea (1) that hangs together and has no pool, and islands (0) in it, none larger than may be: cell by cell. */
export class Sea {
  constructor(
    readonly cells: Uint8Array,
    private readonly chart: Chart,
  ) {}

  /** By chance; nothing where a pool cannot be broken. */
  static at(chart: Chart, chance: () => number): Sea | undefined {
    const sea = new Sea(new Uint8Array(chart.beside.length).fill(SEA), chart)
    const often = grown(chart.beside.length)
    for (;;) {
      const pools = chart.squares.filter(square => square.every(c => sea.cells[c]))
      if (!pools.length) break
      const pool = shuffled([...pools[Math.floor(chance() * pools.length)]!], chance)
      const more = chance() < often ? pool.find(c => sea.shores(c) === 1 && sea.raise(c)) : undefined
      if (more === undefined && !pool.some(c => sea.raise(c))) return undefined
    }
    const islands = sea.islands()
    const lone = shuffled(
      islands.filter(i => i.length === 1).map(([c]) => c!),
      chance,
    )
    for (const c of lone.slice(Math.round(islands.length * LONE)))
      shuffled([...chart.beside[c]!], chance).some(n => sea.shores(n) === 1 && sea.raise(n))
    return sea
  }

  islands(): number[][] {
    const seen = new Uint8Array(this.cells.length)
    const out: number[][] = []
    this.cells.forEach((s, c) => {
      if (s === LAND && !seen[c]) out.push(this.part(c, seen))
    })
    return out
  }

  /** The cells of the island or the sea that one is part of. */
  part(first: number, seen = new Uint8Array(this.cells.length)): number[] {
    const { rows, cols } = this.chart
    return alike(this.cells, { rows, cols, first, seen })
  }

  /** Cells of land beside one. */
  private shores(cell: number): number {
    return this.chart.beside[cell]!.filter(n => this.cells[n] === LAND).length
  }

  /** Makes a cell of the sea land, where the sea stays in one piece and the island is not too large. */
  raise(cell: number): boolean {
    if (this.cells[cell] === LAND) return false
    this.cells[cell] = LAND
    if (this.part(cell).length <= LARGEST && this.inOnePiece()) return true
    this.cells[cell] = SEA
    return false
  }

  /** Makes a cell of an island sea, where the island stays in one piece, the sea as well, and no pool comes. */
  flood(cell: number): boolean {
    const island = this.part(cell)
    if (this.cells[cell] === SEA || island.length < 2) return false
    this.cells[cell] = SEA
    const other = island.find(c => c !== cell)!
    const whole = this.part(other).length === island.length - 1 && this.inOnePiece()
    if (whole && !this.chart.squares.some(square => square.includes(cell) && square.every(c => this.cells[c])))
      return true
    this.cells[cell] = LAND
    return false
  }

  private inOnePiece(): boolean {
    const first = this.cells.indexOf(SEA)
    return this.part(first).length === this.cells.reduce((n, s) => n + s, 0)
  }
}
