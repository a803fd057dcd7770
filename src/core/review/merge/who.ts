import type { Part } from '@/core/compare'
import type { ReviewOf, Told } from '../returned'

/** Who made a change, and when, as far as a record of it was kept for its block or its section; who brought it back, otherwise. */
export function whoOf(
  { told, by, when }: ReviewOf,
  { block, section, parts }: { block: string; section: string | undefined; parts: readonly Part[] },
): { by: string; when: number } {
  const all = [...(told[block] ?? []), ...(told[section ?? ''] ?? [])]
  const words = (is: Part['is']): string => parts.flatMap(p => (p.is === is ? [p.text] : [])).join(' ')
  const meets = (t: Told): boolean => {
    const [a, b] = [t.words.trim(), words(t.did === 'went' ? 'gone' : 'new').trim()]
    return !!a && !!b && (a.includes(b) || b.includes(a))
  }
  // What was taken out as a whole left its record with what stands there now.
  const gone = (t: Told): boolean => t.did === 'went' && meets(t)
  const elsewhere = all.length || parts.some(p => p.is !== 'gone') ? undefined : Object.values(told).flat().find(gone)
  const found = elsewhere ?? all.find(t => t.did !== 'set' && meets(t)) ?? all.find(t => t.did === 'set') ?? all[0]
  return { by: found?.by || by, when: found?.when || when }
}
