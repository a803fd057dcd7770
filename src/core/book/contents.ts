import type { Section } from './book'
import { labels } from './numbering'
import { roles } from './roles'

/** Whether the contents list a section: its like are listed, and it is not left out. */
export const isListed = ({ role, unlisted }: Pick<Section, 'role' | 'unlisted'>): boolean =>
  !!roles[role].listed && !unlisted

/** Whether the contents of a book would say numbers and hardly a title: such a list tells a reader nothing. */
export function listsBareNumbers(sections: Section[], language: string): boolean {
  const names = labels(sections, language)
  const counted = sections.filter(s => isListed(s) && names.get(s.id)!.number !== undefined)
  return counted.length > 1 && counted.filter(s => !s.title).length > counted.length / 2
}
