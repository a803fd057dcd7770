import { at, backAndSpine, type DesignKind, shape, words } from '../kind'

/** Rings of stars within stars, as one colours them in. */
export const roundel: DesignKind = {
  id: 'roundel',
  name: 'Roundel',
  genres: ['planned pages'],
  palettes: ['lilac', 'coral', 'mint', 'plum', 'sky'],
  draw: c => ({
    ground: { colour: c.ground },
    motif: { kind: 'plain', light: c.light, dark: c.dark, accent: c.accent },
    pieces: [
      ...(
        [
          [1.34, 24, 0.16, c.dark],
          [1.14, 24, 0.2, c.light],
          [0.96, 16, 0.26, c.accent],
          [0.78, 16, 0.3, c.light],
          [0.6, 12, 0.34, c.dark],
          [0.44, 12, 0.36, c.panel],
          [0.28, 8, 0.42, c.light],
          [0.14, 8, 0.44, c.accent],
        ] as const
      ).map(([width, points, depth, colour], i) =>
        shape({
          id: `ring-${i + 1}`,
          form: i % 2 ? 'badge' : 'star',
          box: at(0.5 - width / 2, 0.36 - width / 3.2, width, width / 1.6),
          colour,
          points,
          depth,
          turn: i * 7,
        }),
      ),
      shape({
        id: 'plate',
        form: 'rectangle',
        panel: 'sheet',
        box: at(-1, 0.715, 3, 1),
        colour: c.panel,
      }),
      shape({
        id: 'plate-edge',
        form: 'rectangle',
        panel: 'sheet',
        box: at(-1, 0.705, 3, 0.012),
        colour: c.accent,
      }),
      words({
        field: 'title',
        box: at(0, 0.735, 1, 0.135),
        face: 'righteous/regular',
        size: 46,
        leading: 1.02,
        vertical: 'middle',
        colour: c.onPanel,
      }),
      words({
        field: 'subtitle',
        box: at(0.04, 0.87, 0.92, 0.05),
        face: 'figtree/regular',
        size: 15,
        vertical: 'middle',
        colour: c.onPanel,
      }),
      words({
        field: 'author',
        box: at(0, 0.935, 1, 0.055),
        face: 'righteous/regular',
        size: 17,
        tracking: 0.06,
        vertical: 'bottom',
        colour: c.onPanel,
      }),
      words({
        field: 'series',
        box: at(0, 0, 1, 0.04),
        face: 'righteous/regular',
        size: 13,
        colour: c.ink,
        plate: { colour: c.light, around: 0.35, round: true },
      }),
      ...backAndSpine({
        cloth: c.panel,
        text: 'figtree/regular',
        names: 'righteous/regular',
        colour: c.ink,
        quiet: c.onPanel,
        plate: c.light,
        size: 12.5,
      }),
    ],
  }),
}
