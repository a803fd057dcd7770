import type { ProofKind } from '../doubt'

/** Spaces that are one too many. */
export const spaces: ProofKind = {
  id: 'spaces',
  name: ['space too many', 'spaces too many'],
  looksAt: 'Several spaces stand where one would do, or one at the end of a paragraph.',
  look: ({ of, text }) => [
    ...[...text.matchAll(/(?<=\S) {2,}(?=\S)/g)].map(m => ({
      from: m.index,
      to: m.index + m[0].length,
      says: `${m[0].length} spaces`,
      remedies: [' '],
    })),
    ...(of.within === 'verse' ? [] : [...text.matchAll(/^ +(?=\S)|(?<=\S) +$/g)]).map(m => ({
      from: m.index,
      to: m.index + m[0].length,
      says: m.index ? 'a space at the end' : 'a space at the beginning',
      remedies: [''],
    })),
  ],
}
