import { at, backAndSpine, type DesignKind, ornament, shape, words } from '../kind'

/** Paper, a few words, and one leaf. */
export const singleLeaf: DesignKind = {
  id: 'single-leaf',
  name: 'Single leaf',
  genres: ['verse', 'memoir'],
  palettes: ['linen', 'paper', 'chalk', 'mint', 'rose'],
  draw: c => ({
    ground: { colour: c.ground },
    motif: { kind: 'plain', light: c.light, dark: c.dark, accent: c.accent },
    pieces: [
      words({
        field: 'title',
        box: at(0, 0.05, 0.86, 0.27),
        face: 'cormorant-garamond/italic',
        size: 68,
        leading: 1.02,
        align: 'left',
        optical: true,
        colour: c.ink,
      }),
      shape({ id: 'rule', form: 'line', box: at(0, 0.345, 0.16, 0.006), colour: c.accent, depth: 0.5 }),
      words({
        field: 'subtitle',
        box: at(0, 0.37, 0.6, 0.06),
        face: 'cormorant-garamond/regular',
        size: 15,
        align: 'left',
        colour: c.second,
      }),
      ornament({ id: 'leaf', ornament: 'leaf', box: at(0.26, 0.43, 0.74, 0.46), colour: c.accent, turn: -28 }),
      words({
        field: 'author',
        box: at(0, 0.94, 0.9, 0.06),
        face: 'cormorant-garamond/bold',
        size: 19,
        tracking: 0.06,
        align: 'left',
        vertical: 'bottom',
        colour: c.ink,
      }),
      words({
        field: 'series',
        box: at(0, 0, 0.9, 0.03),
        face: 'cormorant-garamond/regular',
        size: 12,
        align: 'left',
        colour: c.second,
      }),
      ...backAndSpine({
        text: 'cormorant-garamond/regular',
        names: 'cormorant-garamond/bold',
        colour: c.ink,
        quiet: c.second,
        size: 14.5,
      }),
    ],
  }),
}
