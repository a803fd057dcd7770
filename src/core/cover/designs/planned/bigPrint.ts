import { at, backAndSpine, type DesignKind, shape, words } from '../kind'

/** As large as it goes: for those who buy by reading. */
export const bigPrint: DesignKind = {
  id: 'big-print',
  name: 'Big print',
  genres: ['planned pages', 'how-to'],
  palettes: ['chalk', 'lemon', 'mint', 'sky', 'ink'],
  draw: c => ({
    ground: { colour: c.ground },
    motif: { kind: 'plain', light: c.light, dark: c.dark, accent: c.accent },
    pieces: [
      shape({
        id: 'band',
        form: 'rectangle',
        panel: 'sheet',
        box: at(-1, 0.635, 3, 1),
        colour: c.accent,
      }),
      words({ field: 'series', box: at(0, 0, 1, 0.05), face: 'alfa-slab-one/regular', size: 15, colour: c.second }),
      words({
        field: 'title',
        box: at(0, 0.06, 1, 0.52),
        face: 'alfa-slab-one/regular',
        size: 150,
        leading: 1,
        stacked: true,
        vertical: 'middle',
        colour: c.ink,
      }),
      words({
        field: 'subtitle',
        box: at(0.03, 0.68, 0.94, 0.14),
        face: 'figtree/bold',
        size: 26,
        leading: 1.15,
        vertical: 'middle',
        colour: c.onAccent,
      }),
      words({
        field: 'author',
        box: at(0, 0.9, 1, 0.09),
        face: 'alfa-slab-one/regular',
        size: 22,
        vertical: 'bottom',
        colour: c.onAccent,
      }),
      ...backAndSpine({
        text: 'figtree/regular',
        names: 'alfa-slab-one/regular',
        colour: c.ink,
        quiet: c.onAccent,
        size: 13,
      }).map(p =>
        p.id === 'spine-title'
          ? { ...p, box: at(0.02, 0.1, 0.58, 0.8) }
          : p.id === 'description'
            ? { ...p, box: at(0.03, 0.03, 0.94, 0.56) }
            : p,
      ),
    ],
  }),
}
