import { Fault } from '../trade'
import type { InteriorStyle } from './style'

/** An edition's own departures from its style, by path: { "text.size": 11.5, "openings.recto": false }. */
export type StyleChanges = Record<string, number | boolean | string>

/** What can be changed of a style, and within what limits: editors and readers of files go by the same list. */
export type StyleValue =
  | { path: string; kind: 'number'; least: number; most: number; step: number; unit: 'pt' | 'in' | 'lines' | 'em' | 'words' }
  | { path: string; kind: 'choice'; choices: { value: string | boolean; words: string }[] }

const yes = (path: string, on: string, off: string): StyleValue => ({ path, kind: 'choice', choices: [{ value: true, words: on }, { value: false, words: off }] })
const amount = (path: string, least: number, most: number, step: number, unit: Extract<StyleValue, { kind: 'number' }>['unit']): StyleValue => ({ path, kind: 'number', least, most, step, unit })
const choice = (path: string, ...choices: [string, string][]): StyleValue => ({ path, kind: 'choice', choices: choices.map(([value, words]) => ({ value, words })) })

/** Margins are points in the style and inches here. */
export const styleValues: StyleValue[] = [
  amount('margins.head', 0.4, 1.8, 0.02, 'in'), amount('margins.foot', 0.4, 1.8, 0.02, 'in'), amount('margins.outside', 0.3, 1.5, 0.02, 'in'), amount('margins.inside', 0.3, 1.5, 0.02, 'in'),
  amount('text.size', 8, 20, 0.25, 'pt'), amount('text.leading', 9, 30, 0.25, 'pt'), choice('text.align', ['justify', 'justified'], ['left', 'ragged']), amount('text.indent', 0, 4, 0.1, 'em'),
  yes('text.hyphenate', 'hyphenated', 'not hyphenated'), yes('text.optical', 'hangs in the margins', 'stays in the measure'), yes('text.oldStyleFigures', 'old-style', 'lining'),
  yes('openings.recto', 'on the right', 'on either page'), amount('openings.sink', 0, 16, 1, 'lines'), choice('openings.number', ['words', 'number in words'], ['figures', 'number in figures'], ['none', 'no number']), amount('openings.titleSize', 11, 40, 0.5, 'pt'), amount('openings.below', 0, 10, 1, 'lines'), amount('openings.leadIn', 0, 12, 1, 'words'),
  choice('breaks.ornament', ['three lights', 'three lights'], ['wave', 'a low wave'], ['none', 'nothing']), amount('breaks.space', 0, 4, 1, 'lines'),
  choice('heads.verso', ['author', 'author'], ['title', 'title'], ['none', 'nothing']), choice('heads.recto', ['section', 'chapter'], ['title', 'title'], ['none', 'nothing']),
]

const byPath = new Map(styleValues.map(v => [v.path, v]))

/** The definition of a value, or a Fault. */
export function styleValue(path: string): StyleValue {
  const v = byPath.get(path)
  if (!v) throw new Fault('style', `“${path}” is nothing that a style has.`)
  return v
}

/** What a style says at a path, margins in inches. */
export function readStyle(style: InteriorStyle, path: string): number | boolean | string {
  const [group, key] = path.split('.') as [keyof InteriorStyle, string]
  const raw = (style[group] as unknown as Record<string, number | boolean | string>)[key]!
  return group === 'margins' ? Math.round((Number(raw) / 72) * 1000) / 1000 : raw
}

/** A style with an edition's changes. Values are held to their limits; what is no value of that kind is refused. */
export function withChanges(style: InteriorStyle, changes: StyleChanges | undefined): InteriorStyle {
  if (!changes || !Object.keys(changes).length) return style
  const out = JSON.parse(JSON.stringify(style)) as InteriorStyle
  for (const [path, value] of Object.entries(changes)) {
    const v = styleValue(path)
    const [group, key] = path.split('.') as [keyof InteriorStyle, string]
    const target = out[group] as unknown as Record<string, number | boolean | string>
    if (v.kind === 'number') {
      if (typeof value !== 'number' || !Number.isFinite(value)) throw new Fault('style', `“${path}” wants a number.`)
      const held = Math.min(v.most, Math.max(v.least, value))
      target[key] = v.unit === 'in' ? held * 72 : held
    } else {
      if (!v.choices.some(c => c.value === value)) throw new Fault('style', `“${String(value)}” is no choice for “${path}”.`)
      target[key] = value
    }
  }
  // Lines may not run into one another.
  out.text.leading = Math.max(out.text.leading, out.text.size)
  return out
}
