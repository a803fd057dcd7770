/**
 * A palette: colours by what they do on a cover. In every one `ink` reads on the ground and on `light`, `second` too, `onPanel` on the
 * panel and `onAccent` on the accent; no two are the same colour, so that a design wears another by exchanging them.
 */
export interface Palette {
  name: string
  ground: string
  /** Words on the ground, and quieter ones. */
  ink: string
  second: string
  /** What is drawn on the ground: a little lighter than it, a little darker, and what is seen first. */
  light: string
  dark: string
  accent: string
  /** A plate that words stand on, and they. */
  panel: string
  onPanel: string
  onAccent: string
}

// prettier-ignore
const rows = {
  harbour:   ['Harbour',   '#15343d', '#f6efdf', '#e9cf9a', '#23505c', '#0f2730', '#e59f2c', '#f3e8cf', '#17323a', '#1d1405'],
  midnight:  ['Midnight',  '#141a33', '#f4f1e6', '#b9c3e6', '#27325c', '#0b0f22', '#f0b93e', '#ece6d3', '#19204a', '#201703'],
  garnet:    ['Garnet',    '#2b1016', '#f8ece1', '#e6b79f', '#561d27', '#19080c', '#e2604f', '#f1ded0', '#3c1119', '#1c0603'],
  pinewood:  ['Pinewood',  '#16301f', '#f4f0da', '#c9d69d', '#25492f', '#0d2014', '#e0a63c', '#efe7c8', '#1b3b25', '#1e1504'],
  plum:      ['Plum',      '#311a3d', '#f6ecf4', '#d9b5dc', '#4d2d5e', '#1f0f28', '#f2a65e', '#f0e2ee', '#38204a', '#231203'],
  peat:      ['Peat',      '#2b2019', '#f5ebdb', '#d8bd98', '#473629', '#1a130e', '#d9853b', '#ecdfc8', '#33261c', '#1b0f03'],
  slate:     ['Slate',     '#2c3840', '#f2f4f2', '#b8c8cf', '#40505a', '#1d262c', '#f0c24b', '#e6ebea', '#26343c', '#211902'],
  ink:       ['Ink',       '#101113', '#fafaf7', '#c4c4bd', '#2a2c30', '#040506', '#ff5a3c', '#f0efe9', '#15171a', '#1a0400'],
  paper:     ['Paper',     '#f3ead7', '#2a241d', '#67543c', '#fbf6ea', '#d8c5a0', '#a83c2a', '#33302b', '#f7f0e1', '#fdf5ec'],
  rose:      ['Rose',      '#f6dcd6', '#531d2d', '#7f3447', '#fdf0ec', '#e5aca5', '#ab2f4d', '#692036', '#fdeeea', '#fff3f4'],
  sky:       ['Sky',       '#d5e8ef', '#143748', '#2f5b70', '#eef7fa', '#9dc5d4', '#b8451c', '#1c4a60', '#f2fafd', '#fff4ec'],
  lemon:     ['Lemon',     '#fbe083', '#2b260f', '#5a4a17', '#fff3c4', '#ecbd38', '#b83219', '#302a12', '#fff6d2', '#fff5ee'],
  mint:      ['Mint',      '#cfe8da', '#12382a', '#2d5d49', '#ebf7f0', '#93c8ac', '#b33e58', '#1b4c39', '#eefaf3', '#fff2f4'],
  lilac:     ['Lilac',     '#e4dcf1', '#2d1d4d', '#553f80', '#f4f0fb', '#bfafdd', '#6b3fa6', '#3d2a66', '#f6f2fd', '#faf5ff'],
  linen:     ['Linen',     '#ece7df', '#26292b', '#565a5c', '#f8f5f0', '#cbc3b6', '#2f6b74', '#2f3436', '#f3efe8', '#effafb'],
  coral:     ['Coral',     '#f7c9b0', '#43160f', '#74301f', '#fde7da', '#ec9d78', '#1f5a66', '#4a1c14', '#fdebe0', '#f0fbfc'],
  chalk:     ['Chalk',     '#ffffff', '#141414', '#4a4a4a', '#f2f2f0', '#c9c9c5', '#1746a2', '#1b1b1e', '#fcfcfa', '#f5f9ff'],
} satisfies Record<string, readonly string[]>

export type PaletteName = keyof typeof rows
export const paletteNames = Object.keys(rows) as PaletteName[]

const roles = ['name', 'ground', 'ink', 'second', 'light', 'dark', 'accent', 'panel', 'onPanel', 'onAccent'] as const
/** What of a palette is a colour. */
export const paletteRoles = roles.slice(1) as readonly Exclude<(typeof roles)[number], 'name'>[]

export const palettes = Object.fromEntries(
  Object.entries(rows).map(([id, row]) => [id, Object.fromEntries(roles.map((r, i) => [r, row[i]]))]),
) as unknown as Record<PaletteName, Palette>
