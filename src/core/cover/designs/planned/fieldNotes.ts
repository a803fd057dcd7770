import { at, backAndSpine, type DesignKind, shape, words } from '../kind'

/** A notebook with its label and its elastic. */
export const fieldNotes: DesignKind = {
  id: 'bound-notebook',
  name: 'Bound notebook',
  genres: ['planned pages'],
  palettes: ['pinewood', 'garnet', 'peat', 'slate', 'harbour'],
  draw: c => ({
    ground: { colour: c.ground },
    motif: { kind: 'dots', light: c.light, dark: c.dark, accent: c.light, values: { size: 0.006, step: 0.022 } },
    pieces: [
      shape({
        id: 'elastic',
        form: 'rectangle',
        within: 'panel',
        box: at(0.83, -0.01, 0.035, 1.02),
        colour: c.accent,
      }),
      shape({ id: 'label', form: 'rectangle', box: at(0.02, 0.12, 0.78, 0.46), colour: c.panel, depth: 0.08 }),
      shape({ id: 'label-frame', form: 'frame', box: at(0.05, 0.142, 0.72, 0.416), colour: c.onPanel, depth: 0.008 }),
      words({
        field: 'series',
        box: at(0.09, 0.165, 0.64, 0.035),
        face: 'staatliches/regular',
        size: 13,
        tracking: 0.1,
        colour: c.onPanel,
      }),
      words({
        field: 'title',
        box: at(0.09, 0.205, 0.64, 0.22),
        face: 'staatliches/regular',
        size: 66,
        leading: 1.02,
        vertical: 'middle',
        colour: c.onPanel,
      }),
      words({
        field: 'subtitle',
        box: at(0.09, 0.43, 0.64, 0.05),
        face: 'figtree/regular',
        size: 12,
        colour: c.onPanel,
      }),
      shape({ id: 'line-1', form: 'line', box: at(0.1, 0.495, 0.62, 0.006), colour: c.onPanel, depth: 0.2 }),
      shape({ id: 'line-2', form: 'line', box: at(0.1, 0.527, 0.62, 0.006), colour: c.onPanel, depth: 0.2 }),
      words({
        field: 'author',
        box: at(0.02, 0.93, 0.78, 0.06),
        face: 'staatliches/regular',
        size: 18,
        tracking: 0.06,
        align: 'left',
        vertical: 'bottom',
        colour: c.second,
      }),
      ...backAndSpine({
        text: 'figtree/regular',
        names: 'staatliches/regular',
        colour: c.ink,
        quiet: c.second,
        size: 12,
        tracking: 0.04,
      }),
    ],
  }),
}
