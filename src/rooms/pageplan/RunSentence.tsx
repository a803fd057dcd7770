'use client'
import type { ReactNode } from 'react'
import { asking, type Control, type HolidaySource, kindOf, type LogColumn, runName, saidFor } from '@/core/activity'
import type { Asset, PagePlan, Run } from '@/core/book'
import type { WordSource } from '@/core/words'
import { DateValue } from '@/parts/DateValue'
import { ChoiceValue, type NumberForm, NumberValue, Sentence } from '@/parts/Sentence'
import { SeveralValue } from '@/parts/SeveralValue'
import type { ChangeRun } from './planChanges'
import { Columns } from './Columns'
import { Heading } from './Heading'
import { HolidaysValue } from './HolidaysValue'
import { RunWays } from './RunWays'
import { LeafUse } from './LeafUse'
import { Pictures } from './Pictures'
import type { ChangePlan } from './planChanges'
import { OwnShapeSaid, ShapeOf } from './Shape'
import { type WordsMinded, WordsOf, WordsValue } from './Words'

const POINTS = { factor: 1, step: 0.5, digits: 1, unit: 'pt' }
const PERCENT = { factor: 100, step: 5, digits: 0, unit: '%' }
const COUNT = { factor: 1, step: 1, digits: 0, unit: '' }

/** What a run is, in sentences: its kind's own values, its heading, how it uses its leaves. */
export function RunSentence({
  bookId,
  language,
  assets,
  plan,
  run,
  onChange,
  onChangePlan,
}: {
  bookId: string
  /** Of the book, as a tag. */
  language: string
  assets: Asset[]
  plan: PagePlan
  run: Run
  onChange: ChangeRun
  onChangePlan: ChangePlan
}) {
  'use memo'
  const kind = kindOf(run.kind)
  const controls = kind?.controls as Record<string, Control> | undefined
  const table = controls && Object.keys(controls).find(k => controls[k]!.as === 'columns')
  const sources = Object.keys(controls ?? {}).filter(k => controls![k]!.as === 'words')
  const shape = controls && Object.keys(controls).find(k => controls[k]!.as === 'shape')
  const set = (name: string, says: string, value: unknown, merge = true): Promise<boolean> =>
    onChange(`${says} of ${runName(run)}`, r => ({ params: { ...r.params, [name]: value } }), merge)

  // A value that the kind has gained since stands as it is for a new run.
  const sourceAt = (name: string): WordSource =>
    (run.params[name] ?? (kind!.plain as Record<string, unknown>)[name]) as WordSource

  const value = (name: string): ReactNode => {
    const c = controls![name]!
    const now = run.params[name]
    const take = (v: unknown): void => void set(name, c.says, v)
    // A value that the kind has gained since stands as the first of its choices.
    if (c.as === 'choice')
      return (
        <ChoiceValue label={c.says} value={String(now ?? c.choices[0]!.value)} choices={c.choices} onChange={take} />
      )
    if (c.as === 'several')
      return (
        <SeveralValue
          label={c.says}
          value={(now as string[] | undefined) ?? []}
          choices={c.choices}
          none={c.none}
          onChange={take}
        />
      )
    if (c.as === 'run')
      return (
        <ChoiceValue label={c.says} value={String(now)} choices={runsToAnswer(plan, String(now))} onChange={take} />
      )
    if (c.as === 'words')
      return (
        <WordsValue
          label={c.says}
          source={sourceAt(name)}
          sayings={!!c.sayings}
          onChange={(v, merge) => set(name, c.says, v, merge)}
        />
      )
    if (c.as === 'shape') return <OwnShapeSaid run={run} />
    if (c.as === 'date') return <DateValue label={c.says} value={String(now)} onChange={take} />
    if (c.as === 'holidays') return <HolidaysValue label={c.says} source={now as HolidaySource} onChange={take} />
    if (c.as === 'pictures') return <b>{countOfPictures((now as string[]).length, c.one ?? 'picture')}</b>
    if (c.as === 'placed') return <b>{countOfPieces((now as unknown[]).length)}</b>
    if (c.as === 'columns') return <b>{countOf(now as LogColumn[])}</b>
    return (
      <NumberValue label={c.says} value={Number(now)} least={c.least} most={c.most} form={formOf(c)} onChange={take} />
    )
  }
  return (
    <section className="note" aria-label={`What ${runName(run)} is`}>
      <h2>{runName(run)}</h2>
      {kind && (
        <p>
          <Sentence words={saidFor(kind.sentence, run.params)} value={value} />
        </p>
      )}
      {table && (
        <Columns
          columns={run.params[table] as LogColumn[]}
          most={(controls[table] as Control & { most: number }).most}
          onChange={(label, next, merge) =>
            onChange(label, r => ({ params: { ...r.params, [table]: next(r.params[table] as LogColumn[]) } }), merge)
          }
        />
      )}
      {'pictures' in run.params && <Pictures bookId={bookId} assets={assets} run={run} onChange={onChange} />}
      {sources.map((name, i) => {
        const { says, ...minds } = controls![name] as Control & WordsMinded
        const source = sourceAt(name)
        // Of what comes beside the run's words only a list of the author's own is to be seen.
        if (i && source.bank) return null
        return (
          <WordsOf
            key={name}
            label={says}
            language={language}
            source={source}
            minds={minds}
            onChange={(next, merge) => set(name, says, next, merge)}
          />
        )
      })}
      {shape && <ShapeOf run={run} grids={gridsOf(controls[shape] as ShapeControl, run)} onChange={onChange} />}
      <Heading run={run} onChange={onChange} />
      <LeafUse bookId={bookId} assets={assets} plan={plan} run={run} onChange={onChange} onChangePlan={onChangePlan} />
      <RunWays plan={plan} run={run} onChange={onChange} onChangePlan={onChangePlan} />
    </section>
  )
}

type ShapeControl = Control & { as: 'shape' }

/** The grid that a run's shape is laid on, and larger ones that there are. */
const gridsOf = ({ grids }: ShapeControl, run: Run) => grids(run.params as never)

function formOf(control: Control & { as: 'length' | 'share' | 'count' }): NumberForm {
  if (control.as === 'count') return COUNT
  return control.as === 'share' ? { ...PERCENT, step: control.step * 100 } : { ...POINTS, step: control.step }
}

/** Runs that ask something, by what they are called; one that is gone is said to be. */
function runsToAnswer(plan: PagePlan, chosen: string): { value: string; words: string }[] {
  const runs = asking(plan).map(r => ({ value: r.id, words: `${runName(r)}, ${r.pages} pages` }))
  return runs.some(r => r.value === chosen) ? runs : [{ value: chosen, words: 'no run yet' }, ...runs]
}

const countOfPictures = (n: number, one: string): string =>
  n ? (n === 1 ? `One ${one}` : `${n} ${one}s`) : `No ${one}s yet`
const countOfPieces = (n: number): string => (n === 1 ? 'one piece' : `${n} pieces`)
const countOf = (columns: LogColumn[]): string => (columns.length === 1 ? 'one column' : `${columns.length} columns`)
