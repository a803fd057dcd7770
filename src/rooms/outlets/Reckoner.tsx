'use client'
import { reckon, type Wish } from '@/core/outlets'
import { type BindingKind, bindingWord, formatTrim, type OutletProfile } from '@/core/trade'
import { ChoiceValue, NumberValue, Sentence } from '@/parts/Sentence'
import { priceField } from '@/parts/priceField'
import { TextValue } from '@/parts/TextValue'
import { Answers } from './Answers'

/** The wish that the reckoner begins with. */
export const firstWish: Wish = {
  binding: 'paperback',
  trim: '6x9in',
  paper: 'cream',
  ink: 'black',
  pages: 218,
  price: 1399,
}

const words = 'A {binding} of {pages}, {trim}, on {paper}, printed in {ink}, sold at {price}.'

/** A book that is not here, in a sentence; and what every printer makes of it. */
export function Reckoner({
  printers,
  wish,
  onWish,
}: {
  printers: readonly OutletProfile[]
  wish: Wish
  onWish: (w: Wish) => void
}) {
  const set = (change: Partial<Wish>): void => onWish({ ...wish, ...change })
  const bindings = [...new Set(printers.flatMap(p => p.print!.bindings.map(b => b.kind)))]
  const trims = [...new Set(printers.flatMap(p => p.print!.bindings.flatMap(b => b.trims)))]
  const papers = [...new Map(printers.flatMap(p => p.print!.papers.map(x => [x.id, x.name] as const)))]
  const choice = (
    label: string,
    value: string,
    choices: { value: string; words: string }[],
    take: (v: string) => void,
  ) => <ChoiceValue label={label} value={value} choices={choices} onChange={take} />
  return (
    <>
      <p className="wish said" role="group" aria-label="The book">
        <Sentence
          words={words}
          value={name => {
            switch (name) {
              case 'binding':
                return choice(
                  'Binding',
                  wish.binding,
                  bindings.map(b => ({ value: b, words: bindingWord(b) })),
                  v => set({ binding: v as BindingKind }),
                )
              case 'trim':
                return choice(
                  'Trim',
                  wish.trim,
                  trims.map(t => ({ value: t, words: formatTrim(t) })),
                  trim => set({ trim }),
                )
              case 'paper':
                return choice(
                  'Paper',
                  wish.paper,
                  papers.map(([value, paper]) => ({ value, words: `${paper.toLowerCase()} paper` })),
                  paper => set({ paper }),
                )
              case 'ink':
                return choice(
                  'Ink',
                  wish.ink,
                  ['black', 'colour'].map(i => ({ value: i, words: i })),
                  v => set({ ink: v === 'colour' ? 'colour' : 'black' }),
                )
              case 'pages':
                return (
                  <NumberValue
                    label="Pages"
                    value={wish.pages}
                    least={1}
                    most={9999}
                    form={{ factor: 1, step: 2, digits: 0, unit: 'pages' }}
                    onChange={pages => set({ pages })}
                  />
                )
              default:
                return (
                  <TextValue
                    field={priceField(wish.currency!)}
                    value={wish.price}
                    empty="no price yet"
                    onTake={price => void set({ price })}
                  />
                )
            }
          }}
        />
      </p>
      <Answers answers={printers.map(p => reckon(p, wish))} />
    </>
  )
}
