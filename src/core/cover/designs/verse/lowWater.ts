import { at, backAndSpine, type DesignKind, words } from '../kind'

/** Lines of water low down, and much air. */
export const lowWater: DesignKind = {
  id: 'low-water',
  name: 'Low water',
  genres: ['verse', 'memoir'],
  palettes: ['sky', 'mint', 'linen', 'lilac', 'harbour'],
  draw: c => ({
    ground: { colour: c.ground },
    motif: {
      kind: 'waves',
      light: c.light,
      dark: c.light,
      accent: c.dark,
      values: { from: 0.62, height: 0.035, length: 0.7 },
    },
    pieces: [
      words({
        field: 'title',
        box: at(0, 0.1, 1, 0.3),
        face: 'josefin-sans/regular',
        size: 40,
        leading: 1.22,
        tracking: 0.16,
        capitals: true,
        align: 'right',
        colour: c.ink,
      }),
      words({
        field: 'subtitle',
        box: at(0.2, 0.42, 0.8, 0.06),
        face: 'cormorant-garamond/italic',
        size: 17,
        align: 'right',
        colour: c.second,
      }),
      words({
        field: 'series',
        box: at(0, 0.02, 1, 0.035),
        face: 'josefin-sans/regular',
        size: 10.5,
        tracking: 0.14,
        capitals: true,
        align: 'right',
        colour: c.second,
      }),
      words({
        field: 'author',
        box: at(0, 0.52, 1, 0.06),
        face: 'josefin-sans/bold',
        size: 16,
        tracking: 0.16,
        capitals: true,
        align: 'right',
        vertical: 'middle',
        colour: c.ink,
      }),
      ...backAndSpine({
        text: 'cormorant-garamond/regular',
        names: 'josefin-sans/regular',
        colour: c.ink,
        quiet: c.ink,
        size: 14.5,
        tracking: 0.08,
      }),
    ],
  }),
}
