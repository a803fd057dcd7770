import type { DesignPiece, Run } from '../../../book'
import { LayerBuilder } from '../../../marks'
import { fields } from '../../../trade'
import type { WordSource } from '../../../words'
import { designSchema, drawDesign } from '../../design'
import { aKind, type Side } from '../../kind'
import { addPiece } from '../../piece'

const { one, shape, text } = fields

export interface OwnValues {
  forms: 'one' | 'two'
  right: DesignPiece[]
  left: DesignPiece[]
  rows: WordSource
}

/** Pages drawn by hand: pieces that the author placed, on right and left pages alike or each their own, with a row of a list a page. */
export const own = aKind<OwnValues, Readonly<Record<string, string>>[]>({
  id: 'own',
  name: 'Drawn by hand',
  says: 'pieces where you put them',
  family: 'read',
  schema: () =>
    shape({
      forms: one('one', 'two').required(),
      right: designSchema().required(),
      left: designSchema().required(),
      rows: shape({ bank: text(40).defined(), text: text(400_000).defined() }).required(),
    }) as never,
  plain: {
    forms: 'one',
    right: [
      piece('own1', 'words', [0, 0.04, 1, 0.2], {
        words: '{row}',
        face: 'head',
        size: 20,
        align: 'left',
        stands: 'top',
        tone: 1,
      }),
      piece('own2', 'lines', [0, 0.28, 1, 0.72], { draws: 'lines', spacing: 22, tone: 0.35 }),
    ],
    left: [],
    rows: { bank: 'sayings', text: '' },
  },
  sentence:
    '{forms}, with {right}[forms=two: and {left} on left pages]. A row a page of {rows}: a name in braces stands for what the row has in that column.',
  controls: {
    forms: {
      as: 'choice',
      says: 'Forms of its pages',
      choices: [
        { value: 'one', words: 'Right and left pages alike' },
        { value: 'two', words: 'Right and left pages each drawn by themselves' },
      ],
    },
    right: { as: 'placed', says: 'Right pages' },
    left: { as: 'placed', says: 'Left pages' },
    rows: { as: 'words', says: 'Rows', clued: false, sayings: true, rows: true },
  },
  alike: false,
  sided: true,
  madeFrom: (_params, made, index) => made[index % made.length]?.row,
  async make({ params: { rows } }) {
    const { rowsOf, sayings } = await import('../../../words')
    const read = rows.bank ? sayings.map(row => ({ row, 1: row })) : rowsOf(rows.text)
    return read.length ? read : [{ row: '' }]
  },
  async draw({ out, params, made, index, side, ...page }) {
    for (const placed of formOn(params, side)) {
      const drawn = new LayerBuilder()
      await drawDesign(placed, { ...page, index, out: drawn, fields: made[index % made.length]! })
      addPiece(out, { id: placed.id }, drawn)
    }
  },
})

function piece(
  id: string,
  kind: string,
  [x, y, width, height]: readonly [number, number, number, number],
  params: Record<string, unknown>,
): DesignPiece {
  return { id, kind, x, y, width, height, params }
}

const formNamed = ({ forms }: OwnValues, side: Side): 'right' | 'left' =>
  forms === 'two' && side === 'verso' ? 'left' : 'right'
const formOn = (params: OwnValues, side: Side): DesignPiece[] => params[formNamed(params, side)]

/** What is placed on all pages of a run that is drawn by hand, on one side of the leaf; undefined where it is another kind. */
export const formOf = (run: Run, side: Side): DesignPiece[] | undefined =>
  run.kind === own.id ? formOn(run.params as never, side) : undefined

/** A run that is drawn by hand with other pieces on that side. */
export function withForm(run: Run, side: Side, next: (all: DesignPiece[]) => DesignPiece[]): Pick<Run, 'params'> {
  const params = run.params as never as OwnValues
  return { params: { ...params, [formNamed(params, side)]: next(formOn(params, side)) } as never }
}
