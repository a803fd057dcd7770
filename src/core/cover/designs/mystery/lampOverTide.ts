import { at, backAndSpine, type DesignKind, words } from '../kind'

/** Panels differ in what they carry, not in their ground, so that folds may drift. */
export const lampOverTide: DesignKind = {
  id: 'lamp-over-tide',
  name: 'Lamp over the tide',
  genres: ['mystery', 'memoir'],
  palettes: ['harbour', 'midnight', 'pinewood', 'plum', 'garnet', 'slate'],
  draw: c => ({
    ground: { colour: c.ground },
    motif: { kind: 'tide and lamp', light: c.accent, dark: c.dark, accent: c.light },
    pieces: [
      words({
        field: 'series',
        box: at(0.04, 0, 0.92, 0.05),
        face: 'figtree/bold',
        size: 11,
        tracking: 0.12,
        capitals: true,
        colour: c.second,
      }),
      words({
        field: 'title',
        box: at(0.02, 0.07, 0.96, 0.31),
        face: 'fraunces/bold',
        size: 72,
        leading: 1.04,
        colour: c.ink,
      }),
      words({
        field: 'subtitle',
        box: at(0.1, 0.415, 0.8, 0.07),
        face: 'fraunces/regular',
        size: 15,
        leading: 1.25,
        colour: c.second,
      }),
      words({
        field: 'author',
        box: at(0.02, 0.9, 0.96, 0.1),
        face: 'figtree/bold',
        size: 24,
        tracking: 0.1,
        capitals: true,
        vertical: 'bottom',
        colour: c.ink,
      }),
      ...backAndSpine({ text: 'fraunces/regular', names: 'fraunces/bold', colour: c.ink, quiet: c.second }),
    ],
  }),
}
