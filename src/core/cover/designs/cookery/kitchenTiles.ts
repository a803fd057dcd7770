import { at, backAndSpine, type DesignKind, shape, words } from '../kind'

/** A tiled wall with a blackboard on it. */
export const kitchenTiles: DesignKind = {
  id: 'kitchen-tiles',
  name: 'Kitchen tiles',
  genres: ['cookery', 'how-to'],
  palettes: ['sky', 'paper', 'coral', 'lemon', 'mint'],
  draw: c => ({
    ground: { colour: c.light },
    motif: { kind: 'tiles', light: c.ground, dark: c.dark, accent: c.accent, seed: 6, values: { size: 0.17 } },
    pieces: [
      shape({ id: 'board-edge', form: 'rectangle', box: at(0.02, 0.17, 0.96, 0.58), colour: c.light, depth: 0.05 }),
      shape({ id: 'board', form: 'rectangle', box: at(0.05, 0.19, 0.9, 0.54), colour: c.panel, depth: 0.04 }),
      words({
        field: 'series',
        box: at(0.1, 0.215, 0.8, 0.04),
        face: 'amatic-sc/regular',
        size: 18,
        colour: c.onPanel,
      }),
      words({
        field: 'title',
        box: at(0.1, 0.265, 0.8, 0.31),
        face: 'amatic-sc/regular',
        size: 110,
        leading: 0.95,
        stacked: true,
        vertical: 'middle',
        colour: c.onPanel,
      }),
      words({
        field: 'subtitle',
        box: at(0.12, 0.6, 0.76, 0.1),
        face: 'josefin-sans/regular',
        size: 15,
        leading: 1.3,
        vertical: 'middle',
        colour: c.onPanel,
      }),
      shape({ id: 'name', form: 'rectangle', box: at(0.02, 0.89, 0.96, 0.085), colour: c.panel, depth: 0.25 }),
      words({
        field: 'author',
        box: at(0.06, 0.895, 0.88, 0.075),
        face: 'josefin-sans/bold',
        size: 22,
        tracking: 0.08,
        capitals: true,
        vertical: 'middle',
        colour: c.onPanel,
      }),
      ...backAndSpine({
        cloth: c.panel,
        text: 'josefin-sans/regular',
        names: 'josefin-sans/bold',
        colour: c.ink,
        quiet: c.onPanel,
        plate: c.light,
        size: 12.5,
        imprint: false,
      }),
    ],
  }),
}
