/** Ornaments that ship, by what they are called; 'none' leaves the place empty. */
export const ornamentNames = [
  'none',
  'three lights',
  'wave',
  'single light',
  'leaf',
  'knot',
  'rule',
  'swelling rule',
  'gulls',
  'shells',
  'three stars',
] as const
export type OrnamentName = (typeof ornamentNames)[number]
