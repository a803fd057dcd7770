/**
 * Names of bookmarks under which the parts of a book ride along in a word-processor file. One that begins with a low line is
 * not listed there; letters, figures and low lines are all that a name may have, and ids have hyphens.
 */
const RIDES = /^_pl([a-z])_(\w+)$/

/** What a bookmark stands at: a paragraph of its own, a line of verse, a section’s title, its subtitle, its number, the call of a note, a small picture, or the words below one. */
export type Ride = 'block' | 'line' | 'title' | 'subtitle' | 'label' | 'note' | 'sign' | 'picture'

const letters: Record<Ride, string> = {
  block: 'b',
  line: 'v',
  title: 't',
  subtitle: 'u',
  label: 'l',
  note: 'n',
  sign: 's',
  picture: 'p',
}
const rides = new Map(Object.entries(letters).map(([ride, letter]) => [letter, ride as Ride]))

/** The name of a bookmark. */
export const rideName = (ride: Ride, id: string | number): string =>
  `_pl${letters[ride]}_${String(id).replaceAll('-', '_')}`

/** What a bookmark’s name says; undefined where it is none of ours. */
export function readRide(name: string): { ride: Ride; id: string } | undefined {
  const [, letter, id] = RIDES.exec(name) ?? []
  const ride = letter && rides.get(letter)
  return ride && id ? { ride, id: id.replaceAll('_', '-') } : undefined
}

/** What scene breaks stand as. */
export const SCENE_BREAK = '* * *'
