import { at, backAndSpine, type DesignKind, shape, words } from '../kind'

/** A year of months, one of them full. */
export const twelveMoons: DesignKind = {
  id: 'twelve-moons',
  name: 'Twelve moons',
  genres: ['planned pages'],
  palettes: ['linen', 'lilac', 'rose', 'midnight', 'slate'],
  draw: c => ({
    ground: { colour: c.ground },
    motif: { kind: 'plain', light: c.light, dark: c.dark, accent: c.accent },
    pieces: [
      ...Array.from({ length: 12 }, (_, i) => {
        const [column, row] = [i % 4, Math.floor(i / 4)]
        return shape({
          id: `moon-${i + 1}`,
          form: 'round',
          box: at(0.06 + column * 0.226, 0.42 + row * 0.15, 0.2, 0.13),
          colour: i === 6 ? c.accent : (column + row) % 2 ? c.dark : c.light,
        })
      }),
      words({
        field: 'series',
        box: at(0, 0, 1, 0.04),
        face: 'josefin-sans/regular',
        size: 11,
        tracking: 0.2,
        capitals: true,
        colour: c.second,
      }),
      words({
        field: 'title',
        box: at(0, 0.08, 1, 0.2),
        face: 'poiret-one/regular',
        size: 50,
        leading: 1.1,
        vertical: 'middle',
        colour: c.ink,
      }),
      words({
        field: 'subtitle',
        box: at(0.05, 0.3, 0.9, 0.06),
        face: 'josefin-sans/regular',
        size: 15,
        tracking: 0.04,
        colour: c.second,
      }),
      words({
        field: 'author',
        box: at(0, 0.93, 1, 0.06),
        face: 'josefin-sans/regular',
        size: 17,
        tracking: 0.2,
        capitals: true,
        vertical: 'bottom',
        colour: c.ink,
      }),
      ...backAndSpine({
        text: 'josefin-sans/regular',
        names: 'josefin-sans/regular',
        colour: c.ink,
        quiet: c.second,
        size: 12.5,
        tracking: 0.06,
      }),
    ],
  }),
}
