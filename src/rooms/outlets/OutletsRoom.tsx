'use client'
import { Button, InputNumber, Select } from 'antd'
import { useState } from 'react'
import { reckon, type Reckoning, shippedProfiles, type Wish } from '@/core/outlets'
import { formatMoney, formatTrim, type OutletProfile } from '@/core/trade'
import { showLength, showSize } from '@/parts/lengths'
import { Sill } from '@/parts/Sill'
import './outlets.css'

const bindings = [
  { value: 'paperback', label: 'Paperback' },
  { value: 'case', label: 'Case laminate' },
  { value: 'coil', label: 'Coil' },
] as const
const trims = [...new Set(shippedProfiles.flatMap(p => p.print?.bindings.flatMap(b => b.trims) ?? []))]
const papers = [...new Map(shippedProfiles.flatMap(p => p.print?.papers.map(x => [x.id, x.name] as const) ?? []))]

/** Outlets: the reckoner for a book that is not here, side by side, and what each outlet asks. */
export function OutletsRoom() {
  const [wish, setWish] = useState<Wish>({
    binding: 'paperback',
    trim: '6x9in',
    paper: 'cream',
    ink: 'black',
    pages: 218,
    price: 1399,
  })
  const set = (change: Partial<Wish>): void => setWish(w => ({ ...w, ...change }))
  const printers = shippedProfiles.filter(p => p.print)
  const answers = printers.map(p => reckon(p, wish))
  const best = answers
    .flatMap(a => ('earnings' in a ? a.earnings.slice(0, 1).map(e => ({ outlet: a.outlet, royalty: e.royalty })) : []))
    .sort((a, b) => b.royalty - a.royalty)[0]
  return (
    <>
      <main id="room" className="room outlets">
        <header className="topline">
          <h1>Outlets</h1>
        </header>
        <div className="sheet">
          <h2>The reckoner</h2>
          <p className="teach">
            A book that is not here: what it would measure, cost and bring, wherever it could be printed.
          </p>
          <div className="wish" role="group" aria-label="The book">
            <Choice
              label="Binding"
              value={wish.binding}
              options={bindings.map(b => ({ ...b }))}
              onChange={v => set({ binding: v as Wish['binding'] })}
              width={140}
            />
            <Choice
              label="Trim"
              value={wish.trim}
              options={trims.map(t => ({ value: t, label: formatTrim(t) }))}
              onChange={v => set({ trim: v })}
              width={130}
            />
            <Choice
              label="Paper"
              value={wish.paper}
              options={papers.map(([value, label]) => ({ value, label }))}
              onChange={v => set({ paper: v })}
              width={170}
            />
            <Choice
              label="Ink"
              value={wish.ink}
              options={[
                { value: 'black', label: 'Black' },
                { value: 'colour', label: 'Colour' },
              ]}
              onChange={v => set({ ink: v as Wish['ink'] })}
              width={100}
            />
            <div>
              <label htmlFor="reckon-pages">Pages</label>
              <InputNumber
                id="reckon-pages"
                min={1}
                max={9999}
                precision={0}
                value={wish.pages}
                onChange={v => v && set({ pages: v })}
                style={{ width: 90 }}
              />
            </div>
            <div>
              <label htmlFor="reckon-price">Price, $</label>
              <InputNumber
                id="reckon-price"
                min={0}
                max={99999}
                step={0.5}
                precision={2}
                value={wish.price === undefined ? null : wish.price / 100}
                onChange={v => set({ price: v === null ? undefined : Math.round(Number(v) * 100) })}
                style={{ width: 100 }}
              />
            </div>
          </div>
          <Answers answers={answers} />
          <h2>What each asks</h2>
          <div className="profiles">
            {shippedProfiles.map(p => (
              <Profile key={p.id} profile={p} />
            ))}
          </div>
        </div>
      </main>
      <Sill
        figures={[
          { name: 'Outlets', value: String(shippedProfiles.length) },
          { name: 'Can print it', value: String(answers.filter(a => !a.problems.length).length) },
        ]}
        asks={
          best && best.royalty > 0
            ? `${best.outlet.name} brings most: ${formatMoney(best.royalty, best.outlet.currency)} a copy`
            : undefined
        }
      />
    </>
  )
}

function Choice({
  label,
  value,
  options,
  onChange,
  width,
}: {
  label: string
  value: string
  options: { value: string; label: string }[]
  onChange: (v: string) => void
  width: number
}) {
  return (
    <div>
      <label htmlFor={`reckon-${label}`}>{label}</label>
      <Select id={`reckon-${label}`} value={value} options={options} onChange={onChange} style={{ width }} />
    </div>
  )
}

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

function Answers({ answers }: { answers: Reckoning[] }) {
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

function Profile({ profile: p }: { profile: OutletProfile }) {
  const save = (): void => {
    const url = URL.createObjectURL(new Blob([JSON.stringify(p, null, 2) + '\n'], { type: 'application/json' }))
    const a = document.createElement('a')
    a.href = url
    a.download = `${p.id}.json`
    a.click()
    URL.revokeObjectURL(url)
  }
  return (
    <section aria-label={p.name}>
      <h3>
        {p.name} <span>{p.kind}</span>
      </h3>
      {p.print && (
        <p>
          Binds {p.print.bindings.map(b => `${b.kind} of ${b.leastPages} to ${b.mostPages} pages`).join(', ')}. Bleed{' '}
          {p.print.bleed} on {p.print.bleedEdges} edges; safe from the trim {p.print.safe}; spine text from{' '}
          {p.print.spineTextFrom} pages, {p.print.spineClear} clear.
        </p>
      )}
      {p.ebook && (
        <p>
          Ebooks to {p.ebook.epubMb} MB; front {p.ebook.frontLeast} to {p.ebook.frontMost} pixels;{' '}
          {(p.royalty.ebook ?? [])
            .map(
              (b, _i, all) =>
                `${Math.round(Number(b.share) * 100)} %${b.upTo === undefined ? (all.length > 1 ? ' above' : '') : ` to ${formatMoney(b.upTo, p.currency)}`}`,
            )
            .join(', ')}
          .
        </p>
      )}
      <p>
        Review takes {p.review.first.least} to {p.review.first.most} hours, a revision {p.review.revision.least} to{' '}
        {p.review.revision.most}.
      </p>
      {(p.notes ?? []).map(n => (
        <p key={n}>{n}</p>
      ))}
      <Button size="small" onClick={save}>
        Save the profile as JSON
      </Button>
    </section>
  )
}
