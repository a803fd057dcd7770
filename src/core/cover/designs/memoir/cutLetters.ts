import { at, backAndSpine, type DesignKind, words } from '../kind'

/** Sheets of paper cut open around a title in handwriting. */
export const cutLetters: DesignKind = {
  id: 'cut-letters',
  name: 'Cut paper',
  genres: ['memoir', 'verse'],
  palettes: ['lilac', 'mint', 'sky', 'lemon', 'linen'],
  draw: c => ({
    ground: { colour: c.ground },
    motif: {
      kind: 'paper cut',
      light: c.light,
      dark: c.dark,
      accent: c.accent,
      seed: 8,
      values: { sheets: 7, open: 0.86 },
    },
    pieces: [
      words({
        field: 'title',
        box: at(0.2, 0.3, 0.6, 0.26),
        face: 'caveat/bold',
        size: 64,
        leading: 0.92,
        vertical: 'middle',
        colour: c.ink,
      }),
      words({
        field: 'subtitle',
        box: at(0.25, 0.57, 0.5, 0.07),
        face: 'caveat/regular',
        size: 18,
        leading: 1.05,
        colour: c.second,
      }),
      words({
        field: 'series',
        box: at(0, 0.01, 1, 0.05),
        face: 'josefin-sans/bold',
        size: 11,
        tracking: 0.14,
        capitals: true,
        colour: c.onAccent,
        plate: { colour: c.accent, around: 0.6, round: true },
      }),
      words({
        field: 'author',
        box: at(0, 0.9, 1, 0.085),
        face: 'josefin-sans/bold',
        size: 22,
        tracking: 0.1,
        capitals: true,
        vertical: 'bottom',
        colour: c.onAccent,
        plate: { colour: c.accent, around: 0.5, round: true },
      }),
      ...backAndSpine({
        cloth: c.accent,
        text: 'spectral/regular',
        names: 'josefin-sans/bold',
        colour: c.ink,
        quiet: c.onAccent,
        plate: c.light,
        imprint: false,
      }),
    ],
  }),
}
