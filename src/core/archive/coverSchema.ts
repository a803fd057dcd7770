import { lazy, mixed, type Schema } from 'yup'
import { BRUSH, coverForms, fadeSides, LARGEST_SHEET, repeatPatterns, tiesAcross, tiesDown } from '../book'
import { motifNames, motifs } from '../cover'
import { fields } from '../trade'

const { amount, like, list, one, optional, shape, text, whole, yesNo } = fields

const colour = () => like(/^#[0-9a-fA-F]{6}$/, 'wants a colour such as “#15343d”')

const placed = {
  id: text(60).required(),
  panel: one('back', 'spine', 'front', 'sheet').required(),
  within: one('safe', 'panel', 'folds'),
  box: shape({
    x: amount(-2, 3).required(),
    y: amount(-2, 3).required(),
    width: amount(0, 4).required(),
    height: amount(0, 4).required(),
  }).required(),
  tied: optional(
    shape({
      across: one(...tiesAcross).required(),
      down: one(...tiesDown).required(),
      of: shape({ width: amount(0, 7200).required(), height: amount(0, 7200).required() }).required(),
    }),
  ),
  name: text(120),
  turn: amount(-360, 360),
  locked: yesNo(),
  group: text(60),
  own: yesNo(),
}

const textSchema = () =>
  shape({
    ...placed,
    kind: one('text'),
    field: one('title', 'subtitle', 'author', 'series', 'imprint', 'description', 'quotes', 'own').required(),
    words: text(20_000),
    face: text(80).required(),
    size: amount(1, 400).required(),
    leading: amount(0.3, 5).required(),
    tracking: amount(-1, 3).required(),
    capitals: yesNo().required(),
    small: yesNo(),
    swashes: yesNo(),
    optical: yesNo(),
    stacked: yesNo(),
    lineSizes: list(amount(0.1, 5), 10),
    arc: amount(-330, 330),
    align: one('left', 'center', 'right').required(),
    vertical: one('top', 'middle', 'bottom').required(),
    colour: colour().required(),
    shadow: optional(
      shape({ colour: colour().required(), across: amount(-1, 1).required(), down: amount(-1, 1).required() }),
    ),
    gradient: optional(shape({ to: colour().required(), angle: amount(-360, 360).required() })),
    outline: optional(shape({ colour: colour().required(), width: amount(0, 0.5).required() })),
    glow: optional(shape({ colour: colour().required(), reach: amount(0, 1).required() })),
    plate: optional(shape({ colour: colour().required(), around: amount(0, 4).required(), round: yesNo().required() })),
  })

/** What a repeat may be made of. */
const repeatedSchemas: Record<string, () => Schema> = {
  form: () =>
    shape({
      kind: one('form').required(),
      form: one(...coverForms).required(),
      points: whole(0, 120),
      depth: amount(0, 1),
    }),
  ornament: () => shape({ kind: one('ornament').required(), ornament: text(60).required() }),
  letter: () => shape({ kind: one('letter').required(), letter: text(12).required() }),
  picture: () => shape({ kind: one('picture').required(), asset: text(64).required() }),
}
const noSuchRepeat = (): Schema => shape({ kind: one(...Object.keys(repeatedSchemas)).required() })

const strokeSchema = () =>
  shape({
    points: list(list(amount(-1, 2), 2).length(2), BRUSH.points)
      .min(1)
      .required() as never,
    radius: amount(0, 1).required(),
    keeps: yesNo().required(),
  })

const toneSchema = () =>
  shape({
    colours: lazy((v: unknown) =>
      v && typeof v === 'object' ? shape({ dark: colour().required(), light: colour().required() }) : one('greys'),
    ) as never,
    light: amount(-1, 1),
    contrast: amount(-1, 1),
    warmth: amount(-1, 1),
    blur: amount(0, 0.2),
    grain: amount(0, 1),
    tint: optional(shape({ colour: colour().required(), strength: amount(0, 1).required() })),
  })

/** A piece by its kind; one that says none is words. */
const pieceSchemas: Record<string, () => Schema> = {
  text: textSchema,
  shape: () =>
    shape({
      ...placed,
      kind: one('shape').required(),
      form: one(...coverForms).required(),
      colour: colour().required(),
      points: whole(0, 120),
      depth: amount(0, 1),
      opacity: amount(0, 1),
      gradient: optional(shape({ to: colour().required(), angle: amount(-360, 360).required() })),
      path: like(/^[MLQCZ0-9 .,-]*$/, 'wants an outline of M, L, Q, C and Z').max(200_000),
    }),
  repeat: () =>
    shape({
      ...placed,
      kind: one('repeat').required(),
      of: lazy(
        (v: unknown) => repeatedSchemas[(v as { kind?: string } | undefined)?.kind ?? '']?.() ?? noSuchRepeat(),
      ) as never,
      colour: colour().required(),
      face: text(80),
      pattern: one(...repeatPatterns).required(),
      cell: amount(0.01, 2).required(),
      apart: optional(shape({ x: amount(-0.9, 10).required(), y: amount(-0.9, 10).required() })),
      tilt: amount(-360, 360),
      jitter: amount(0, 1),
      seed: whole(0, 2_147_483_647),
      opacity: amount(0, 1),
    }),
  picture: () =>
    shape({
      ...placed,
      kind: one('picture').required(),
      asset: text(64).required(),
      focus: optional(shape({ x: amount(0, 1).required(), y: amount(0, 1).required() })),
      zoom: amount(1, 20),
      mirrored: yesNo(),
      mask: one('rectangle', 'round', 'arch'),
      cut: optional(
        shape({
          tolerance: amount(0, 1).required(),
          soft: amount(0, 100).required(),
          holes: one('kept', 'opened').required(),
          strokes: list(strokeSchema(), BRUSH.strokes),
        }),
      ),
      tone: optional(toneSchema()),
      fade: optional(shape({ toward: one(...fadeSides).required(), over: amount(0.02, 1).required() })),
    }),
  logo: () => shape({ ...placed, kind: one('logo').required() }),
  ornament: () =>
    shape({
      ...placed,
      kind: one('ornament').required(),
      ornament: text(40).required(),
      colour: colour().required(),
    }),
}

const kindOfPiece = (v: unknown): string => String((v as { kind?: unknown } | undefined)?.kind ?? 'text')

export const pieceSchema = (): Schema =>
  lazy((v: unknown) => {
    const kind = kindOfPiece(v)
    return Object.hasOwn(pieceSchemas, kind)
      ? pieceSchemas[kind]!()
      : mixed().test('kind', '${path} is of no kind that covers have', () => false)
  }) as never

/** Values that a motif has, each within its limits. */
const motifValues = (kind: string) =>
  lazy((v: unknown) => {
    if (v === undefined) return mixed().optional()
    const values = motifs[kind]?.values ?? {}
    return shape(
      Object.fromEntries(Object.entries(values).map(([name, { least, most }]) => [name, amount(least, most)])),
    )
  }) as never

/** A sheet made elsewhere. */
const elsewhereSchema = () =>
  shape({
    asset: text(64).required(),
    width: amount(1, LARGEST_SHEET.side),
    height: amount(1, LARGEST_SHEET.side),
    over: optional(
      shape({
        top: amount(0, LARGEST_SHEET.over).required(),
        right: amount(0, LARGEST_SHEET.over).required(),
        bottom: amount(0, LARGEST_SHEET.over).required(),
        left: amount(0, LARGEST_SHEET.over).required(),
      }),
    ),
  })

/** The cover of an edition that was made elsewhere. */
export const wrapSchema = () =>
  shape({
    sheets: list(elsewhereSchema(), 2).min(1).required(),
    atFolds: one('widened'),
    barcode: one('in it'),
  })

/** A cover design, as it stands in a book. */
export const coverSchema = () =>
  shape({
    id: text(60).required(),
    name: text(200).defined(),
    palette: text(40),
    ground: shape({ colour: colour().required(), spine: colour() }).required(),
    motif: lazy((v: unknown) =>
      shape({
        kind: one(...motifNames).required(),
        light: colour().required(),
        dark: colour().required(),
        accent: colour().required(),
        seed: whole(0, 2 ** 32 - 1),
        values: motifValues(String((v as { kind?: unknown } | undefined)?.kind)),
      }).required(),
    ) as never,
    picture: optional(shape({ asset: text(64).required(), over: one('front', 'sheet').required() })),
    front: optional(elsewhereSchema()),
    pieces: list(pieceSchema(), 400).required(),
  })
