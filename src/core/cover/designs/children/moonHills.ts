import { at, backAndSpine, type DesignKind, words } from '../kind'

/** Hills asleep under a big moon. */
export const moonHills: DesignKind = {
  id: 'moon-hills',
  name: 'Hills asleep',
  genres: ['children', 'fantasy'],
  palettes: ['plum', 'midnight', 'harbour', 'pinewood', 'slate'],
  draw: c => ({
    ground: { colour: c.ground },
    motif: {
      kind: 'mountains',
      light: c.accent,
      dark: c.dark,
      accent: c.light,
      seed: 9,
      values: { ranges: 5, height: 0.5, moon: 0.5 },
    },
    pieces: [
      words({ field: 'series', box: at(0, 0, 1, 0.045), face: 'fredoka/regular', size: 13, colour: c.second }),
      words({
        field: 'title',
        box: at(0, 0.055, 1, 0.36),
        face: 'luckiest-guy/regular',
        size: 78,
        leading: 0.96,
        stacked: true,
        colour: c.ink,
        outline: { colour: c.dark, width: 0.05 },
        shadow: { colour: c.dark, across: 0, down: 0.09 },
      }),
      words({
        field: 'subtitle',
        box: at(0.06, 0.8, 0.88, 0.06),
        face: 'fredoka/regular',
        size: 17,
        vertical: 'bottom',
        colour: c.second,
      }),
      words({
        field: 'author',
        box: at(0, 0.88, 1, 0.11),
        face: 'fredoka/bold',
        size: 27,
        vertical: 'middle',
        colour: c.ink,
      }),
      ...backAndSpine({ text: 'figtree/regular', names: 'fredoka/bold', colour: c.ink, quiet: c.second, size: 13 }),
    ],
  }),
}
