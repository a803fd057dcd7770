'use client'
import { Button } from 'antd'
import { memo } from 'react'
import { roles, type Section, withNumbers } from '@/core/book'
import type { SectionActs } from '../useSectionActs'
import type { Panel } from '../panel'
import type { MatterActs } from '../matter/useMatter'
import { AddSection } from './AddSection'

const panels: readonly { panel: Panel; words: string }[] = [
  { panel: 'find', words: 'Find' },
  { panel: 'proof', words: 'Proof' },
  { panel: 'others', words: 'Others' },
  { panel: 'pace', words: 'Pace' },
  { panel: 'versions', words: 'Versions' },
  { panel: 'desk', words: 'Desk' },
  { panel: 'out', words: 'Take out' },
]

/** What can be done with the sections that are picked; one of them is open. */
export const ListActs = memo(function ListActs({
  sections,
  picked,
  readOnly,
  acts,
  matter,
  onPanel,
}: {
  sections: readonly Section[]
  picked: readonly string[]
  readOnly: boolean
  acts: SectionActs
  matter: MatterActs
  /** Another list is to stand in the place of this one. */
  onPanel: (panel: Panel) => void
}) {
  const all = sections.filter(s => picked.includes(s.id))
  const one = all.length === 1 ? all[0] : undefined
  const countable = all.filter(s => roles[s.role].numbered)
  const numbered = countable.every(s => s.numbered)
  const act = (words: string, onClick: () => void, can = true) => (
    <Button size="small" type="link" disabled={readOnly || !can} onClick={onClick}>
      {words}
    </Button>
  )
  return (
    <div className="listacts">
      {all.length > 1 && <p>{all.length} sections picked</p>}
      <div>
        {one && act('Split at the cursor', acts.split, !one.made)}
        {act(one ? 'Join to the one before' : 'Join them', acts.join, joinable(sections, all))}
        {countable.length > 1 &&
          act(
            numbered ? 'Without numbers' : 'Number them',
            () =>
              void acts.operate(
                numbered ? `${countable.length} sections without numbers` : `Number ${countable.length} sections`,
                b => withNumbers(b, picked, !numbered),
              ),
          )}
        {act('Duplicate', acts.duplicate, all.length > 0)}
        {one && act('Read again', () => acts.readAgain(false), !one.made)}
        {one && !one.made && !one.matter && act('Keep for all books', () => matter.keep(one))}
        {act('Remove', acts.remove, all.length > 0)}
      </div>
      <div className="adding">
        <AddSection readOnly={readOnly} matter={matter.kept} onAdd={acts.add} onPlace={matter.place} />
        {act('Read all again', () => acts.readAgain(true))}
      </div>
      <div className="looking">
        {panels.map(({ panel, words }) => (
          <Button key={panel} size="small" type="link" onClick={() => onPanel(panel)}>
            {words} …
          </Button>
        ))}
      </div>
    </div>
  )
})

/** Whether sections can be one: each but the first with the one before it; a single one with what stands before it. */
function joinable(sections: readonly Section[], picked: readonly Section[]): boolean {
  const from = sections.findIndex(s => s.id === picked[0]?.id) - (picked.length === 1 ? 1 : 0)
  const run = from < 0 ? [] : sections.slice(from, from + Math.max(2, picked.length))
  return (
    run.length > 1 &&
    run.every(s => !s.made && s.part === run[0]!.part) &&
    (picked.length === 1 || run.every((s, i) => s.id === picked[i]?.id))
  )
}
