import { at, backAndSpine, type DesignKind, shape, words } from '../kind'

/** A town with lit windows at the foot, and the title over it like a sign. */
export const nightStreet: DesignKind = {
  id: 'night-street',
  name: 'Night street',
  genres: ['mystery', 'history'],
  palettes: ['midnight', 'ink', 'slate', 'peat', 'garnet', 'plum'],
  draw: c => ({
    ground: { colour: c.ground },
    motif: { kind: 'skyline', light: c.accent, dark: c.dark, accent: c.light, seed: 7, values: { height: 0.42 } },
    pieces: [
      shape({
        id: 'street',
        form: 'rectangle',
        panel: 'sheet',
        box: at(-1, 0.905, 3, 1),
        colour: c.dark,
      }),
      words({
        field: 'series',
        box: at(0, 0, 1, 0.045),
        face: 'oswald/regular',
        size: 12,
        tracking: 0.22,
        capitals: true,
        colour: c.second,
      }),
      words({
        field: 'title',
        box: at(0, 0.065, 1, 0.41),
        face: 'league-gothic/regular',
        size: 210,
        leading: 1,
        capitals: true,
        stacked: true,
        colour: c.ink,
      }),
      words({
        field: 'subtitle',
        box: at(0.05, 0.495, 0.9, 0.05),
        face: 'oswald/regular',
        size: 15,
        tracking: 0.06,
        colour: c.second,
      }),
      words({
        field: 'author',
        box: at(0, 0.92, 1, 0.08),
        face: 'league-gothic/regular',
        size: 40,
        tracking: 0.04,
        capitals: true,
        vertical: 'bottom',
        colour: c.accent,
      }),
      ...backAndSpine({
        text: 'spectral/regular',
        names: 'oswald/regular',
        colour: c.ink,
        quiet: c.second,
        capitals: true,
        tracking: 0.04,
      }),
    ],
  }),
}
