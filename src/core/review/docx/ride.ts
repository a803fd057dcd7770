import { type InlineJson, inlineText, type Remark, type Said, schema } from '@/core/book'
import { leafKey, readRide, type Rider } from '@/core/copies'
import type { Riding } from '@/core/intake'

/** How a document is read that went out with a rider. */
export function ridingOf(rider: Rider): Riding {
  return {
    aroundWords: name => ['label', 'note', 'sign'].includes(readRide(name)?.ride ?? ''),
    between: (name, inside) => between(rider, readRide(name)!, inside),
    remark: thread => ({ type: 'remark', attrs: remarkOf(rider, thread) }),
    blockId: anchors => {
      // A table's own name comes before that of its first paragraph.
      const ids = anchors.flatMap(a => {
        const ride = readRide(a)
        return ride?.ride === 'block' && rider.leaves.get(leafKey('block', ride.id))?.node.type !== 'table'
          ? [ride.id]
          : []
      })
      return ids.at(-1) ?? ''
    },
  }
}

function between(rider: Rider, { ride, id }: { ride: string; id: string }, inside: InlineJson[]): InlineJson[] {
  switch (ride) {
    case 'label': {
      // Where the number was changed by hand, that is what the title says.
      const number = rider.numbers[id]
      return [number, `${number}: `].includes(inlineText(inside)) ? [] : inside
    }
    case 'note':
      return inside.map(n => (n.type === 'footnote' ? { ...n, attrs: { id } } : n))
    default: {
      const sign = rider.signs[Number(id)]
      return sign && inside.length ? [sign] : inside
    }
  }
}

/** What a thread of comments is: what went out as it was, with what was answered since. */
function remarkOf(rider: Rider, thread: readonly Said[]): Remark {
  const said = thread.map(({ by, when, words }) => ({
    by: by === rider.author ? '' : by,
    when: sameSecond(when, rider.when) ? 0 : when,
    words,
  }))
  const [first, ...answers] = said
  const sent = rider.remarks.find(r => r.by === thread[0]!.by && r.remark.words.trim() === first!.words)?.remark
  const known = sent?.answers ?? []
  const fresh = answers.filter(
    a => !known.some(k => k.words.trim() === a.words && (k.by || rider.author) === (a.by || rider.author)),
  )
  if (sent) return fresh.length ? { ...sent, answers: [...known, ...fresh] } : sent
  return { ...first!, ...(answers.length && { answers }) }
}

/** Files keep times to the second. */
const sameSecond = (a: number, b: number): boolean => Math.floor(a / 1000) === Math.floor(b / 1000)

const order = new Map(Object.keys(schema.marks).map((name, i) => [name, i]))

/** Words with their marks in the order in which the schema has them. */
export const inMarkOrder = <N extends InlineJson>(n: N): N => {
  const content = n.type === 'footnote' && n.content ? { content: n.content.map(inMarkOrder) } : {}
  const marks = n.marks && { marks: n.marks.toSorted((a, b) => order.get(a.type)! - order.get(b.type)!) }
  return { ...n, ...content, ...marks }
}
