import { fields } from '../../../trade'
import { drawAnswers } from '../../drawPage'
import { askedOf } from '../../heading'
import { aKind, type MadeRun } from '../../kind'

const { one, shape, text } = fields

const counts = ['1', '2', '4', '6', '9', '12'] as const
interface AnswerValues {
  of: string
  count: (typeof counts)[number]
}

/** Answers to what the pages of another run ask, several to a page, each under its page's heading. */
export const answers = aKind<AnswerValues, MadeRun | undefined>({
  id: 'answers',
  name: 'Answers',
  says: 'answers to the puzzles of another run',
  family: 'puzzles',
  schema: () => shape({ of: text(40).required(), count: one(...counts).required() }) as never,
  plain: { of: 'none', count: '4' },
  sentence: 'Of {of}, {count} to a page.',
  controls: {
    of: { as: 'run', says: 'Of which run' },
    count: { as: 'choice', says: 'On a page', choices: counts.map(value => ({ value, words: value })) },
  },
  alike: false,
  refersTo: ({ of }) => of,
  pagesFor: ({ count }, other) => (other ? Math.ceil(askedOf(other) / Number(count)) : 0),
  answerPage: ({ count }, asked) => Math.floor(asked / Number(count)),
  make: ({ other }) => (other?.kind.answers ? other : undefined),
  async draw({ params, made: other, index, ...page }) {
    if (!other) return
    const count = Number(params.count)
    const all = Math.min(count, askedOf(other.run) - index * count)
    const answered = Array.from({ length: Math.max(0, all) }, (_, i) => index * count + i)
    await drawAnswers(other, answered, count, page)
  },
})
