import type { Reckoning } from '@/core/outlets'
import { formatMoney } from '@/core/trade'
import { showLength, showSize } from '@/parts/lengths'

type Figured = Extract<Reckoning, { pages: number }>
const lines: { name: string; of: (r: Figured) => string }[] = [
  { name: 'Pages as printed', of: r => String(r.pages) },
  { name: 'Paper', of: r => (r.otherPaper ? `${r.paperName} (instead)` : r.paperName) },
  { name: 'Spine', of: r => (r.spine ? `${showLength(r.spine)}${r.spineText ? '' : ', no text'}` : 'none') },
  { name: 'Wrap with bleed', of: r => showSize(r.wrap.width, r.wrap.height) },
  { name: 'Inside margin, at least', of: r => showLength(r.inside) },
  { name: 'Print cost', of: r => formatMoney(r.cost, r.outlet.currency) },
  { name: 'Least price', of: r => formatMoney(r.leastPrice, r.outlet.currency) },
  {
    name: 'Royalty',
    of: r =>
      r.earnings.map(e => `${formatMoney(e.royalty, r.outlet.currency)} ${e.channel}`).join('\n') || 'wants a price',
  },
]

/** What each outlet makes of a wish, side by side, or the reasons why it cannot. */
export function Answers({ answers }: { answers: Reckoning[] }) {
  return (
    <table className="answers">
      <thead>
        <tr>
          <th scope="col">
            <span className="visually-hidden">Figure</span>
          </th>
          {answers.map(a => (
            <th scope="col" key={a.outlet.id}>
              {a.outlet.name}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {lines.map((l, i) => (
          <tr key={l.name}>
            <th scope="row">{l.name}</th>
            {answers.map(a =>
              'pages' in a ? (
                <td key={a.outlet.id}>{l.of(a)}</td>
              ) : i === 0 ? (
                <td key={a.outlet.id} rowSpan={lines.length} className="cannot">
                  {a.problems.map(p => (
                    <p key={p}>{p}</p>
                  ))}
                </td>
              ) : null,
            )}
          </tr>
        ))}
      </tbody>
    </table>
  )
}
