import { formatLength, formatMoney, inUnit } from '@/core/trade'
import type { Figures } from '@/workers/press.worker'

/** One figure of the sill: a name and its value. */
export interface SillFigure {
  name: string
  value: string
  /** What it was before the last change, where that moved it. */
  was?: string
}

/** The strip of live figures along the foot, and what now wants the author. */
export function Sill({ figures, asks }: { figures: SillFigure[]; asks?: string }) {
  return (
    <footer className="sill" aria-label="Sill">
      {figures.map(f => (
        <span className="figure" key={f.name}>
          {f.name}
          {f.was && <s aria-label={`was ${f.was}`}>{f.was}</s>}
          {f.value && <b>{f.value}</b>}
        </span>
      ))}
      {asks && <span className="asks">{asks}</span>}
    </footer>
  )
}

/** The figures of the sill; one that moved shows what it was. */
export function sillOf(now: Figures, was: Figures | undefined): SillFigure[] {
  const moved = (name: string, of: (f: Figures) => string): SillFigure => {
    const [value, before] = [of(now), was && of(was)]
    return { name, value, ...(before && before !== value ? { was: before } : {}) }
  }
  return [
    { name: now.outlet, value: '' },
    moved('Pages', f => String(f.pages)),
    moved('Spine', f => formatLength(f.spinePt, 'in')),
    moved('Wrap', f => `${inUnit(f.wrap.width, 'in').toFixed(2)} × ${inUnit(f.wrap.height, 'in').toFixed(2)} in`),
    moved('Print', f => formatMoney(f.cost, f.currency)),
    now.price === undefined ? moved('Least price', f => formatMoney(f.leastPrice, f.currency)) : moved(`Royalty at ${formatMoney(now.price, now.currency)}`, f => formatMoney(f.royalty ?? 0, f.currency)),
    moved('Findings', f => String(f.findings.length)),
  ]
}
