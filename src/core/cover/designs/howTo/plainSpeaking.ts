import { at, backAndSpine, type DesignKind, shape, words } from '../kind'

/** Heavy letters from the left, and one round thing said loudly. */
export const plainSpeaking: DesignKind = {
  id: 'plain-speaking',
  name: 'Plain speaking',
  genres: ['how-to'],
  palettes: ['lemon', 'mint', 'sky', 'coral', 'chalk'],
  draw: c => ({
    ground: { colour: c.ground },
    motif: { kind: 'dots', light: c.light, dark: c.dark, accent: c.dark, values: { size: 0.014, step: 0.05 } },
    pieces: [
      shape({
        id: 'field',
        form: 'rectangle',
        panel: 'sheet',
        box: at(-1, -1, 3, 1.56),
        colour: c.ground,
      }),
      words({
        field: 'series',
        box: at(0, 0, 1, 0.04),
        face: 'archivo-black/regular',
        size: 12,
        align: 'left',
        colour: c.second,
      }),
      words({
        field: 'title',
        box: at(0, 0.06, 1, 0.46),
        face: 'archivo-black/regular',
        size: 92,
        leading: 1,
        align: 'left',
        optical: true,
        colour: c.ink,
      }),
      shape({
        id: 'bar',
        form: 'rectangle',
        panel: 'sheet',
        box: at(-1, 0.56, 3, 0.014),
        colour: c.ink,
      }),
      shape({ id: 'spot', form: 'round', box: at(0.46, 0.6, 0.52, 0.34), colour: c.accent }),
      words({
        field: 'subtitle',
        box: at(0.52, 0.66, 0.4, 0.22),
        face: 'figtree/bold',
        size: 18,
        leading: 1.2,
        vertical: 'middle',
        colour: c.onAccent,
      }),
      words({
        field: 'author',
        box: at(0, 0.93, 1, 0.07),
        face: 'archivo-black/regular',
        size: 20,
        align: 'left',
        vertical: 'bottom',
        colour: c.ink,
        plate: { colour: c.ground, around: 0.35, round: false },
      }),
      ...backAndSpine({
        text: 'figtree/regular',
        names: 'archivo-black/regular',
        colour: c.ink,
        quiet: c.ink,
        size: 12,
      }).map(p => (p.id === 'description' ? { ...p, box: at(0.03, 0.03, 0.94, 0.53) } : p)),
    ],
  }),
}
