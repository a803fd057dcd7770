import { LayerBuilder, layerBox, scaled } from '../../../../marks'
import { drawOrnament, ornamentNames, type OrnamentName } from '../../../../ornaments'
import { fields } from '../../../../trade'
import { aDesign } from '../../kind'

const { one, shape } = fields

const offered = ornamentNames.filter(n => n !== 'none')

/** An ornament from the supplies, as large as its box. */
export const ornament = aDesign<{ ornament: OrnamentName }>({
  id: 'ornament',
  name: 'Ornament',
  schema: () => shape({ ornament: one(...offered).required() }) as never,
  plain: { ornament: 'leaf' },
  size: { width: 0.16, height: 0.08 },
  sentence: 'A {ornament}.',
  controls: {
    ornament: { as: 'choice', says: 'Which ornament', choices: offered.map(value => ({ value, words: value })) },
  },
  draw({ out, params, width, height }) {
    const drawn = new LayerBuilder()
    drawOrnament(drawn, params.ornament, 0, 0, 1)
    const layer = drawn.build()
    const [x0, y0, x1, y1] = layerBox(layer)
    const by = Math.min(width / (x1 - x0), height / (y1 - y0))
    const [x, y] = [(width - (x0 + x1) * by) / 2, (height - (y0 + y1) * by) / 2]
    out.add({ kind: 'group', transform: [1, 0, 0, 1, x, y], layers: [scaled(layer, by)] })
  },
})
