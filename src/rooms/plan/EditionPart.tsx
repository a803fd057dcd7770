'use client'
import type { ReactNode } from 'react'
import { type Book, draftOf, type Edition, pricesWith, specOf } from '@/core/book'
import type { Figures } from '@/core/chain'
import { printMoney, profileOf, takesKind } from '@/core/outlets'
import { finishesOf, formatMoney, formatTrim, type OutletProfile } from '@/core/trade'
import { commit } from '@/data/changes'
import { kindWords } from '@/parts/kinds'
import { priceField } from '@/parts/priceField'
import { ChoiceValue, Sentence } from '@/parts/Sentence'
import { TextValue } from '@/parts/TextValue'
import { useSay } from '@/parts/useSay'
import { isbnField } from './planFields'
import { RemoveEdition } from './RemoveEdition'

/** An edition in a sentence: what it is made as and where, its number and its price. */
export function EditionPart({
  book,
  edition,
  outlets,
  figures,
}: {
  book: Book
  edition: Edition
  outlets: readonly OutletProfile[]
  figures: Figures | undefined
}) {
  const say = useSay()
  const change = (label: string, next: (e: Edition) => Partial<Edition>): Promise<void> =>
    commit(book.id, label, r => ({
      editions: r.editions.map(e => (e.id === edition.id ? { ...e, ...next(e) } : e)),
    }))
  const choose = (label: string, next: (e: Edition) => Partial<Edition>): void =>
    void change(label, next).catch(say.failed)
  const home = outlets.find(p => p.id === edition.outlets[0])
  const currency = home?.currency
  const value = (name: string): ReactNode => {
    switch (name) {
      case 'isbn':
        return (
          <TextValue
            field={isbnField}
            value={edition.isbn}
            empty="no ISBN yet"
            onTake={isbn => change(edition.kind === 'ebook' ? 'ISBN of the ebook' : 'ISBN', () => ({ isbn }))}
          />
        )
      case 'price':
        return currency === undefined ? null : (
          <TextValue
            field={priceField(currency)}
            value={edition.prices?.[currency]}
            empty="a price to be set"
            onTake={v => {
              const label = `${edition.kind === 'ebook' ? 'Ebook price' : 'Price'} ${v === undefined ? '' : formatMoney(v, currency)}`
              return change(label, e => ({ prices: pricesWith(e.prices, currency, v) }))
            }}
          />
        )
      default:
        return edition.kind === 'ebook' || !home ? null : (
          <PrintValue name={name} edition={edition} home={home} outlets={outlets} onChange={choose} />
        )
    }
  }
  return (
    <section className="edition" aria-label={kindWords[edition.kind]}>
      <h3>
        {kindWords[edition.kind]} <RemoveEdition book={book} edition={edition} />
      </h3>
      <p className="said">
        {edition.kind !== 'ebook' && home && (
          <Sentence
            words={`{trim}, on {paper}, printed in {ink}, finished {finish}; made at {outlet}${edition.outlets.length > 1 ? ` and taken to ${namesOf(edition.outlets.slice(1), outlets)}` : ''}. `}
            value={value}
          />
        )}
        {edition.kind === 'ebook' && `Goes to ${namesOf(edition.outlets, outlets) || 'no outlet yet'}. `}
        {edition.kind !== 'ebook' && !home && 'It is made for no outlet yet: take it to one in Listings. '}
        <Sentence words={currency ? 'ISBN {isbn}. Sold at {price}.' : 'ISBN {isbn}.'} value={value} />
        {home?.print && figures?.pages && (
          <Money
            edition={edition}
            home={home}
            pages={figures.pages}
            lowContent={draftOf(book, edition.id, home.id).lowContent}
          />
        )}
      </p>
    </section>
  )
}

const namesOf = (ids: string[], outlets: readonly OutletProfile[]): string =>
  ids.map(id => profileOf(id, outlets).name).join(' and ')

/** One of the values that a printer offers. */
function PrintValue({
  name,
  edition,
  home,
  outlets,
  onChange,
}: {
  name: string
  edition: Edition
  home: OutletProfile
  outlets: readonly OutletProfile[]
  onChange: (label: string, next: (e: Edition) => Partial<Edition>) => void
}) {
  const { binding } = specOf(edition)
  const offer = (
    label: string,
    value: string,
    choices: readonly { value: string; words: string }[],
    take: (v: string) => Partial<Edition>,
  ) => (
    <ChoiceValue
      label={label}
      value={value}
      choices={choices}
      onChange={v => onChange(`${label} ${choices.find(c => c.value === v)?.words ?? v}`, () => take(v))}
    />
  )
  switch (name) {
    case 'trim': {
      const trims = home.print?.bindings.find(b => b.kind === edition.kind)?.trims ?? []
      return offer(
        'Trim',
        edition.trim ?? '',
        trims.map(t => ({ value: t, words: formatTrim(t) })),
        trim => ({ trim }),
      )
    }
    case 'paper':
      return offer(
        'Paper',
        edition.paper ?? '',
        (home.print?.papers ?? []).map(p => ({ value: p.id, words: `${p.name.toLowerCase()} paper` })),
        paper => ({ paper }),
      )
    case 'ink':
      return offer(
        'Ink',
        edition.ink ?? 'black',
        [...new Set(home.print?.costs.map(c => c.ink))].map(i => ({ value: i, words: i })),
        ink => ({ ink: ink === 'colour' ? 'colour' : 'black' }),
      )
    case 'finish': {
      const offered = finishesOf(home, binding)
      return offer(
        'Finish',
        edition.finish ?? offered[0] ?? '',
        offered.map(f => ({ value: f, words: f })),
        finish => ({ finish }),
      )
    }
    default:
      return (
        <ChoiceValue
          label="Outlet"
          value={home.id}
          choices={outlets.filter(p => takesKind(p, edition.kind)).map(p => ({ value: p.id, words: p.name }))}
          onChange={v => {
            const next = profileOf(v, outlets)
            onChange(`Outlet ${next.name}`, e => madeAt(e, next))
          }}
        />
      )
  }
}

/** An edition at another printer. What that one does not have becomes the first of what it has; undo brings back all of it. */
function madeAt(e: Edition, next: OutletProfile): Partial<Edition> {
  const { binding } = specOf(e)
  const nearest = (value: string | undefined, offered: string[]): string | undefined =>
    value !== undefined && offered.includes(value) ? value : offered[0]
  const finishes = finishesOf(next, binding)
  return {
    outlets: [next.id, ...e.outlets.slice(1).filter(o => o !== next.id)],
    trim: nearest(e.trim, next.print!.bindings.find(b => b.kind === binding)!.trims),
    paper: nearest(
      e.paper,
      next.print!.papers.map(p => p.id),
    ),
    finish: e.finish && finishes.includes(e.finish) ? e.finish : undefined,
  }
}

/** What the edition costs and brings where it is made. */
function Money({
  edition,
  home,
  pages,
  lowContent,
}: {
  edition: Edition
  home: OutletProfile
  pages: number
  lowContent: boolean | undefined
}) {
  const money = printMoney(home, specOf(edition), pages, edition.prices?.[home.currency], { lowContent })
  const said = (minor: number): string => formatMoney(minor, money.currency)
  return (
    <span className="pays">
      {' '}
      {pages} pages cost {said(money.cost)} to print; {said(money.leastPrice)} is the least price.
      {money.price !== undefined &&
        money.earnings.map(e => (
          <span key={e.channel}>
            {' '}
            {capital(e.channel)}: <b>{said(e.royalty)}</b> a copy.
          </span>
        ))}
    </span>
  )
}

const capital = (s: string): string => s.charAt(0).toUpperCase() + s.slice(1)
