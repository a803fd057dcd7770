'use client'
import { Popover } from 'antd'
import { memo, useSyncExternalStore } from 'react'
import { formatLength, formatMoney, inUnit } from '@/core/trade'
import type { Figures } from '@/core/chain'
import { stopPress } from '@/workers/client'
import { type AtWork, onPressAtWork, pressAtWork } from '@/workers/waitingFor'
import { preferences } from './preferences'

/** One figure of the sill: a name and its value. */
export interface SillFigure {
  name: string
  value: string
  /** What it was before the last change, where that moved it. */
  was?: string
  /** How it was worked out, shown on a click. */
  worked?: string
}

/** The strip of live figures along the foot, and what now wants the author. Drawn anew only where it says something else: rooms are drawn at each key. */
export const Sill = memo(
  Strip,
  (a, b) => Object.is(a.asks, b.asks) && JSON.stringify(a.figures) === JSON.stringify(b.figures),
)

function Strip({ figures, asks }: { figures: SillFigure[]; asks?: React.ReactNode }) {
  const working = useSyncExternalStore(onPressAtWork, pressAtWork, () => undefined)
  return (
    <footer className="sill" aria-label="Sill">
      {figures.map(f => {
        const body = (
          <>
            {f.name}
            {f.was && <s aria-label={`was ${f.was}`}>{f.was}</s>}
            {f.value && <b>{f.value}</b>}
          </>
        )
        return f.worked ? (
          <Popover
            key={f.name}
            trigger="click"
            placement="top"
            content={
              <span className="worked">
                {f.worked} = <b>{f.value}</b>
              </span>
            }
          >
            <button type="button" className="figure">
              {body}
            </button>
          </Popover>
        ) : (
          <span className="figure" key={f.name}>
            {body}
          </span>
        )
      })}
      {working ? <Working at={working} /> : asks && <span className="asks">{asks}</span>}
    </footer>
  )
}

/** The press at work for longer than a moment: what it does, how far it is, and a way to stop it. */
function Working({ at }: { at: AtWork }) {
  const percent = at.progress && Math.floor((at.progress.done / Math.max(1, at.progress.of)) * 100)
  const stage = at.progress?.stage ?? 'At work'
  return (
    <span className="asks working" role="status">
      {stage}
      <progress max={100} value={percent} aria-label={stage} />
      <b>{percent === undefined ? '' : `${percent} %`}</b>
      <button type="button" onClick={stopPress}>
        Stop
      </button>
    </span>
  )
}

/** The figures of the sill; one that moved shows what it was. */
export function sillOf(now: Figures, was: Figures | undefined): SillFigure[] {
  const { unit } = preferences()
  const digits = unit === 'mm' ? 1 : 2
  const moved = (name: string, of: (f: Figures) => string, worked?: string): SillFigure => {
    const [value, before] = [of(now), was && of(was)]
    return { name, value, ...(before && before !== value ? { was: before } : {}), ...(worked ? { worked } : {}) }
  }
  const pays =
    now.price === undefined
      ? moved('Least price', f => formatMoney(f.leastPrice, f.currency))
      : moved(
          `Royalty at ${formatMoney(now.price, now.currency)}`,
          f => formatMoney(f.royalty ?? 0, f.currency),
          now.worked.Royalty,
        )
  const findings = moved('Findings', f => String(f.findings.length))
  if (now.kind === 'ebook')
    return [
      { name: now.outlet, value: '' },
      moved('Weight', f => `${((f.epubBytes ?? 0) / 1e6).toFixed(2)} MB`),
      pays,
      findings,
    ]
  return [
    { name: now.outlet, value: '' },
    moved('Pages', f => String(f.pages)),
    moved('Spine', f => formatLength(f.spinePt ?? 0, unit), now.worked.Spine),
    moved(
      'Wrap',
      f =>
        f.wrap
          ? `${inUnit(f.wrap.width, unit).toFixed(digits)} × ${inUnit(f.wrap.height, unit).toFixed(digits)} ${unit}`
          : '',
      now.worked.Wrap,
    ),
    moved('Print', f => formatMoney(f.cost ?? 0, f.currency), now.worked.Print),
    pays,
    findings,
  ]
}
