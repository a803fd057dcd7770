import { at, backAndSpine, type DesignKind, shape, words } from '../kind'

/** A medallion on scales, its title around the rim. */
export const wyrmScale: DesignKind = {
  id: 'wyrm-scale',
  name: 'Wyrm scale',
  genres: ['fantasy', 'history'],
  palettes: ['pinewood', 'garnet', 'harbour', 'peat', 'plum'],
  draw: c => ({
    ground: { colour: c.ground },
    motif: { kind: 'scales', light: c.light, dark: c.dark, accent: c.dark, values: { size: 0.16 } },
    pieces: [
      shape({ id: 'rim', form: 'badge', box: at(-0.03, 0.12, 1.06, 0.7), colour: c.accent, points: 44, depth: 0.05 }),
      shape({ id: 'medal', form: 'round', box: at(0.025, 0.165, 0.95, 0.61), colour: c.dark }),
      shape({ id: 'sun', form: 'star', box: at(0.38, 0.205, 0.24, 0.15), colour: c.accent, points: 16, depth: 0.4 }),
      words({
        field: 'title',
        box: at(0.11, 0.375, 0.78, 0.22),
        face: 'uncial-antiqua/regular',
        size: 46,
        leading: 1,
        vertical: 'middle',
        colour: c.ink,
      }),
      words({
        field: 'series',
        box: at(0, 0.015, 1, 0.05),
        face: 'pirata-one/regular',
        size: 20,
        tracking: 0.03,
        colour: c.ink,
        plate: { colour: c.dark, around: 0.35, round: true },
      }),
      words({
        field: 'subtitle',
        box: at(0.16, 0.615, 0.68, 0.06),
        face: 'marcellus/regular',
        size: 14,
        colour: c.second,
      }),
      words({
        field: 'author',
        box: at(0, 0.88, 1, 0.1),
        face: 'uncial-antiqua/regular',
        size: 25,
        vertical: 'bottom',
        colour: c.ink,
        plate: { colour: c.dark, around: 0.45, round: true },
      }),
      ...backAndSpine({
        cloth: c.dark,
        text: 'eb-garamond/regular',
        names: 'marcellus/regular',
        colour: c.ink,
        quiet: c.accent,
        plate: c.dark,
        size: 13.5,
        imprint: false,
      }),
    ],
  }),
}
