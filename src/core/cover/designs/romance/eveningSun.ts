import { at, backAndSpine, type DesignKind, shape, words } from '../kind'

/** A large sun going down behind calm water. */
export const eveningSun: DesignKind = {
  id: 'evening-sun',
  name: 'Evening sun',
  genres: ['romance', 'memoir'],
  palettes: ['coral', 'lemon', 'rose', 'plum', 'harbour'],
  draw: c => ({
    ground: { colour: c.ground },
    motif: { kind: 'plain', light: c.light, dark: c.dark, accent: c.accent },
    pieces: [
      shape({
        id: 'sun',
        form: 'round',
        box: at(0.08, 0.41, 0.84, 0.55),
        colour: c.accent,
        gradient: { to: c.dark, angle: 0 },
      }),
      ...[0, 1, 2, 3, 4].map(i =>
        shape({
          id: `water-${i + 1}`,
          form: 'rectangle',
          panel: 'sheet',
          box: at(-1, 0.745 + i * 0.034 + i * i * 0.002, 3, 0.006 + i * 0.005),
          colour: c.ground,
        }),
      ),
      shape({
        id: 'shore',
        form: 'rectangle',
        panel: 'sheet',
        box: at(-1, 0.915, 3, 1),
        colour: c.panel,
      }),
      words({
        field: 'series',
        box: at(0, 0, 1, 0.04),
        face: 'josefin-sans/bold',
        size: 11,
        tracking: 0.16,
        capitals: true,
        colour: c.second,
      }),
      words({
        field: 'title',
        box: at(0, 0.05, 1, 0.29),
        face: 'yeseva-one/regular',
        size: 64,
        leading: 1.02,
        vertical: 'middle',
        optical: true,
        colour: c.ink,
      }),
      words({
        field: 'author',
        box: at(0, 0.925, 1, 0.07),
        face: 'josefin-sans/bold',
        size: 23,
        tracking: 0.12,
        capitals: true,
        vertical: 'middle',
        colour: c.onPanel,
      }),
      words({
        field: 'subtitle',
        box: at(0.06, 0.35, 0.88, 0.06),
        face: 'josefin-sans/regular',
        size: 14,
        colour: c.second,
      }),
      ...backAndSpine({
        text: 'spectral/regular',
        names: 'josefin-sans/bold',
        reach: 0.88,
        colour: c.ink,
        quiet: c.second,
      }).map(p => (p.id === 'imprint' ? { ...p, colour: c.onPanel } : p)),
    ],
  }),
}
