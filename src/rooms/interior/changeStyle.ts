import { styleValue } from '@/core/pages'
import type { Commit } from '@/parts/useCommit'

type StyleValue = number | boolean | string

/** A value of the style: where it stands, what it shall be, what it is in the style as it ships, and what it is called. */
interface StyleValueChange {
  path: string
  value: StyleValue
  shipped: StyleValue
  words: string
}

/** Changes one value of the edition's style; back at the shipped style's own value, the departure is dropped. */
export function changeStyle(
  commit: Commit,
  editionId: string,
  { path, value, shipped, words }: StyleValueChange,
): Promise<boolean> {
  const v = styleValue(path)
  const shownValue =
    v.kind === 'number'
      ? String(value)
      : v.kind === 'picture'
        ? value
          ? 'of your own'
          : 'none'
        : (v.choices.find(c => c.value === value)?.words ?? String(value))
  return commit(
    `${words} ${shownValue}`,
    record => ({
      editions: record.editions.map(e => {
        if (e.id !== editionId) return e
        const { [path]: _old, ...rest } = e.styleChanges ?? {}
        const changes = value === shipped ? rest : { ...rest, [path]: value }
        const { styleChanges: _gone, ...plain } = e
        return Object.keys(changes).length ? { ...plain, styleChanges: changes } : plain
      }),
    }),
    true,
  )
}
