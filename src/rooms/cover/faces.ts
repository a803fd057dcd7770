import type { Book } from '@/core/book'
import { displayFamilies, shippedFamilies } from '@/core/type'

const cuts: Record<string, string> = {
  'regular': '',
  'italic': ' italic',
  'bold': ' bold',
  'bold-italic': ' bold italic',
}

const cutsOf = (id: string, name: string, files: Partial<Record<string, unknown>>, use = '') =>
  Object.keys(files).map(cut => ({ value: `${id}/${cut}`, words: `${name}${cuts[cut] ?? ''}`, more: use }))

/** Faces that words of a cover may be set in, by what books they suit: the author’s own first, those for titles, and those for text. */
export const facesFor = (fonts: Book['fonts']): { value: string; words: string; more: string }[] => [
  ...(fonts ?? []).flatMap(f => cutsOf(f.id, f.name, f.files, 'your own')),
  ...displayFamilies.flatMap(f => cutsOf(f.id, f.name, f.files, f.use)),
  ...Object.entries(shippedFamilies).flatMap(([id, f]) => cutsOf(id, f.name, f.files)),
]
