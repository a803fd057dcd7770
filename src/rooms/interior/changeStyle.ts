import { styleValue } from '@/core/pages'
import type { Commit } from '@/parts/useCommit'

/** Changes one value of the edition's style; back at the shipped style's own value, the departure is dropped. */
export function changeStyle(
  commit: Commit,
  editionId: string,
  path: string,
  value: number | boolean | string,
  shipped: number | boolean | string,
  words: string,
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
