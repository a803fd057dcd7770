import { at, backAndSpine, type DesignKind, shape, words } from '../kind'

const ARCH = 'M180 1000L180 320C180 143 323 0 500 0C677 0 820 143 820 320L820 1000Z'

/** An arched window with the evening in it. */
export const archedWindow: DesignKind = {
  id: 'arched-window',
  name: 'Arched window',
  genres: ['memoir', 'romance'],
  palettes: ['linen', 'rose', 'paper', 'sky', 'mint', 'lilac'],
  draw: c => ({
    ground: { colour: c.ground },
    motif: { kind: 'plain', light: c.light, dark: c.dark, accent: c.accent },
    pieces: [
      shape({ id: 'wall', form: 'own', path: ARCH, box: at(0.06, 0.325, 0.88, 0.52), colour: c.panel }),
      shape({
        id: 'window',
        form: 'own',
        path: ARCH,
        box: at(0.1, 0.345, 0.8, 0.5),
        colour: c.accent,
        gradient: { to: c.light, angle: 0 },
      }),
      shape({ id: 'sun', form: 'round', box: at(0.39, 0.56, 0.22, 0.15), colour: c.light }),
      shape({ id: 'sill', form: 'rectangle', box: at(0.1, 0.838, 0.8, 0.02), colour: c.panel }),
      shape({ id: 'bar', form: 'rectangle', box: at(0.4935, 0.38, 0.013, 0.46), colour: c.panel }),
      shape({ id: 'cross', form: 'rectangle', box: at(0.23, 0.6, 0.54, 0.0085), colour: c.panel }),
      words({
        field: 'series',
        box: at(0, 0, 1, 0.04),
        face: 'josefin-sans/regular',
        size: 11,
        tracking: 0.18,
        capitals: true,
        colour: c.second,
      }),
      words({
        field: 'title',
        box: at(0.02, 0.05, 0.96, 0.2),
        face: 'cormorant-garamond/bold-italic',
        size: 54,
        leading: 0.98,
        vertical: 'middle',
        optical: true,
        colour: c.ink,
      }),
      words({
        field: 'subtitle',
        box: at(0.1, 0.26, 0.8, 0.05),
        face: 'cormorant-garamond/italic',
        size: 16,
        colour: c.second,
      }),
      words({
        field: 'author',
        box: at(0.04, 0.905, 0.92, 0.08),
        face: 'josefin-sans/regular',
        size: 21,
        tracking: 0.2,
        capitals: true,
        vertical: 'middle',
        colour: c.ink,
      }),
      ...backAndSpine({
        text: 'cormorant-garamond/regular',
        names: 'josefin-sans/regular',
        colour: c.ink,
        quiet: c.second,
        size: 14.5,
        tracking: 0.04,
      }),
    ],
  }),
}
