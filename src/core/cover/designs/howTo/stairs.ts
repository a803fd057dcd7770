import { at, backAndSpine, type DesignKind, shape, words } from '../kind'

/** Steps that rise to the right under a title on a panel. */
export const stairs: DesignKind = {
  id: 'stairs',
  name: 'Stairs',
  genres: ['how-to', 'memoir'],
  palettes: ['sky', 'linen', 'chalk', 'lilac', 'slate'],
  draw: c => ({
    ground: { colour: c.ground },
    motif: { kind: 'stripes', light: c.light, dark: c.dark, accent: c.light, values: { width: 0.035, lean: 45 } },
    pieces: [
      ...[0, 1, 2, 3, 4].map(i =>
        shape({
          id: `step-${i + 1}`,
          form: 'rectangle',
          within: 'panel',
          box: at(0.14 + i * 0.172, 0.83 - i * 0.075, 0.86 - i * 0.172, 0.17 + i * 0.075),
          colour: [c.dark, c.second, c.accent, c.panel, c.ink][i]!,
        }),
      ),
      shape({ id: 'card', form: 'rectangle', panel: 'front', box: at(0, 0.02, 0.94, 0.46), colour: c.panel }),
      words({
        field: 'series',
        box: at(0.06, 0.05, 0.82, 0.035),
        face: 'figtree/bold',
        size: 11,
        tracking: 0.1,
        capitals: true,
        align: 'left',
        colour: c.onPanel,
      }),
      words({
        field: 'title',
        box: at(0.06, 0.1, 0.82, 0.25),
        face: 'dm-serif-display/regular',
        size: 80,
        leading: 1.02,
        align: 'left',
        colour: c.onPanel,
      }),
      words({
        field: 'subtitle',
        box: at(0.06, 0.365, 0.8, 0.09),
        face: 'figtree/regular',
        size: 15,
        leading: 1.25,
        align: 'left',
        colour: c.onPanel,
      }),
      words({
        field: 'author',
        box: at(0, 0.5, 0.6, 0.07),
        face: 'figtree/bold',
        size: 19,
        align: 'left',
        colour: c.ink,
        vertical: 'middle',
        plate: { colour: c.ground, around: 0.3, round: false },
      }),
      ...backAndSpine({
        cloth: c.panel,
        text: 'figtree/regular',
        names: 'dm-serif-display/regular',
        colour: c.ink,
        quiet: c.onPanel,
        plate: c.ground,
        size: 12,
        imprint: false,
      }),
    ],
  }),
}
