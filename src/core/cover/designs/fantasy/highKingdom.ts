import { at, backAndSpine, type DesignKind, ornament, shape, words } from '../kind'

/** Mountains under a sky of stars, and a title in gold. */
export const highKingdom: DesignKind = {
  id: 'high-kingdom',
  name: 'High kingdom',
  genres: ['fantasy'],
  palettes: ['midnight', 'plum', 'pinewood', 'garnet', 'ink'],
  draw: c => ({
    ground: { colour: c.ground },
    motif: {
      kind: 'stars',
      light: c.second,
      dark: c.dark,
      accent: c.accent,
      seed: 5,
      values: { many: 320, size: 0.02 },
    },
    pieces: [
      ...[
        [0.02, 0.56, 0.5, 0.36],
        [0.46, 0.5, 0.56, 0.4],
        [0.24, 0.62, 0.54, 0.36],
      ].map(([x, y, w, h], i) =>
        shape({
          id: `peak-${i + 1}`,
          form: 'own',
          path: 'M500 0L1000 1000L0 1000Z',
          box: at(x! - 0.2, y!, w! + 0.4, h!),
          colour: i === 2 ? c.dark : c.light,
          within: 'panel',
        }),
      ),
      // The side of each that the light does not reach.
      ...[
        [0.02, 0.56, 0.5, 0.36],
        [0.46, 0.5, 0.56, 0.4],
        [0.24, 0.62, 0.54, 0.36],
      ].map(([x, y, w, h], i) =>
        shape({
          id: `shade-${i + 1}`,
          form: 'own',
          path: 'M500 0L1000 1000L420 1000L560 620L470 430Z',
          box: at(x! - 0.2, y!, w! + 0.4, h!),
          colour: c.ground,
          within: 'panel',
        }),
      ),
      shape({
        id: 'land',
        form: 'rectangle',
        panel: 'sheet',
        box: at(-1, 0.87, 3, 1),
        colour: c.dark,
      }),
      shape({ id: 'frame', form: 'frame', box: at(0, 0, 1, 1), colour: c.accent, depth: 0.012 }),
      shape({
        id: 'frame-within',
        form: 'frame',
        box: at(0.022, 0.0165, 0.956, 0.967),
        colour: c.accent,
        depth: 0.004,
      }),
      ornament({ id: 'crest', ornament: 'three stars', box: at(0.36, 0.05, 0.28, 0.05), colour: c.accent }),
      words({
        field: 'series',
        box: at(0.1, 0.115, 0.8, 0.035),
        face: 'cinzel/regular',
        size: 11.5,
        tracking: 0.14,
        capitals: true,
        colour: c.second,
      }),
      words({
        field: 'title',
        box: at(0.06, 0.165, 0.88, 0.31),
        face: 'cinzel/bold',
        size: 76,
        leading: 1.05,
        capitals: true,
        vertical: 'middle',
        colour: c.accent,
        gradient: { to: c.ink, angle: 180 },
        shadow: { colour: c.dark, across: 0.03, down: 0.04 },
      }),
      words({
        field: 'subtitle',
        box: at(0.12, 0.49, 0.76, 0.05),
        face: 'marcellus/regular',
        size: 14.5,
        colour: c.ink,
      }),
      words({
        field: 'author',
        box: at(0.08, 0.885, 0.84, 0.075),
        face: 'cinzel/regular',
        size: 22,
        tracking: 0.1,
        capitals: true,
        vertical: 'middle',
        colour: c.ink,
      }),
      ...backAndSpine({
        text: 'eb-garamond/regular',
        names: 'cinzel/bold',
        colour: c.ink,
        quiet: c.accent,
        size: 13.5,
      }),
    ],
  }),
}
