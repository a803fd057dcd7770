import { at, backAndSpine, type DesignKind, shape, words } from '../kind'

/** A block of colour that carries the title, over veined stone. */
export const monument: DesignKind = {
  id: 'monument',
  name: 'Monument',
  genres: ['history', 'how-to'],
  palettes: ['peat', 'linen', 'slate', 'garnet', 'chalk'],
  draw: c => ({
    ground: { colour: c.ground },
    motif: { kind: 'marble', light: c.light, dark: c.dark, accent: c.light, seed: 3, values: { size: 0.4 } },
    pieces: [
      shape({
        id: 'block',
        form: 'rectangle',
        panel: 'sheet',
        box: at(-1, -1, 3, 1.535),
        colour: c.accent,
      }),
      shape({
        id: 'edge',
        form: 'rectangle',
        panel: 'sheet',
        box: at(-1, 0.535, 3, 0.012),
        colour: c.panel,
      }),
      words({
        field: 'series',
        box: at(0, 0, 1, 0.04),
        face: 'oswald/regular',
        size: 12,
        tracking: 0.18,
        capitals: true,
        align: 'left',
        colour: c.onAccent,
      }),
      words({
        field: 'title',
        box: at(0, 0.06, 1, 0.45),
        face: 'anton/regular',
        size: 190,
        leading: 1,
        capitals: true,
        stacked: true,
        align: 'left',
        vertical: 'bottom',
        colour: c.onAccent,
      }),
      words({
        field: 'subtitle',
        box: at(0.06, 0.625, 0.88, 0.09),
        face: 'playfair-display/italic',
        size: 19,
        leading: 1.25,
        colour: c.ink,
        plate: { colour: c.ground, around: 0.5, round: false },
      }),
      words({
        field: 'author',
        box: at(0, 0.9, 1, 0.1),
        face: 'oswald/bold',
        size: 27,
        tracking: 0.08,
        capitals: true,
        vertical: 'bottom',
        colour: c.ink,
        plate: { colour: c.ground, around: 0.4, round: false },
      }),
      ...backAndSpine({
        text: 'spectral/regular',
        names: 'oswald/bold',
        colour: c.onAccent,
        quiet: c.ink,
        capitals: true,
        tracking: 0.05,
      }).map(p =>
        p.id === 'spine-title'
          ? { ...p, colour: c.onAccent, box: at(0.02, 0.1, 0.5, 0.8) }
          : p.id === 'description'
            ? { ...p, box: at(0.03, 0.03, 0.94, 0.5) }
            : p,
      ),
    ],
  }),
}
