'use client'
import Link from 'next/link'
import { memo, useCallback, useSyncExternalStore } from 'react'
import type { Outlook } from '@/core/chain'
import { formatTrim } from '@/core/trade'
import dynamic from 'next/dynamic'
import { Beside } from '@/parts/Beside'
import { kindWords } from '@/parts/kinds'
import { Lamp } from '@/parts/Lamp'
import type { Pair } from '@/parts/pairs'
import type { Looks } from './looks'
import { lampFor, nextFor, pairsWith } from './next'
import type { Entry } from './useEntries'

interface RowProps {
  entry: Entry
  looks: Looks
  onTakeDown: (entry: Entry) => void
}

// Most books are in order: what a bad one needs is loaded when there is one.
const BadBook = dynamic(() => import('@/parts/BadBook').then(m => m.BadBook), { ssr: false })

/** A book of the porch. It hears of its own book only, and one that cannot be drawn leaves the others standing. */
export const Row = memo(function Row(props: RowProps) {
  const { entry, looks } = props
  return (
    <Beside
      otherwise={x => (
        <li className="row bad">
          <BadBook id={entry.id} title={entry.title} why={x.message} onMended={() => looks.lookAgain(entry.id)}>
            <span />
          </BadBook>
        </li>
      )}
    >
      <Standing {...props} />
    </Beside>
  )
})

function Standing({ entry, looks, onTakeDown }: RowProps) {
  const look = useSyncExternalStore(
    useCallback((l: () => void) => looks.onBook(entry.id, l), [looks, entry.id]),
    () => looks.of(entry.id),
    () => looks.of(entry.id),
  )
  const at = `/book/${encodeURIComponent(entry.id)}`
  if (look.bad)
    return (
      <li className="row bad">
        <BadBook id={entry.id} title={entry.title} why={look.bad} onMended={() => looks.lookAgain(entry.id)}>
          <Link prefetch={false} href={`${at}/${entry.planned ? 'pages' : 'interior'}`}>
            To its {entry.planned ? 'pages' : 'interior'}
          </Link>
        </BadBook>
      </li>
    )
  const o = look.outlook
  const pairs = pairsWith(entry, look)
  const extent = o && (entry.planned ? `${o.planned} planned pages` : `${o.words.toLocaleString('en')} words`)
  return (
    <li className="row">
      <div className="front">
        {look.front ? <img src={look.front} alt={`Front cover of ${entry.title}`} /> : <span aria-hidden />}
      </div>
      <div className="who">
        <h3>
          <Link
            prefetch={false}
            href={`${at}/${entry.readFor ? 'text' : entry.planned ? 'pages' : !o || o.words ? 'interior' : 'text'}`}
          >
            {entry.title}
          </Link>
        </h3>
        <p>{[entry.series?.number && `${entry.series.number}`, entry.author, extent].filter(Boolean).join(' · ')}</p>
      </div>
      <div className="editions">
        {entry.readFor ? (
          <span className="word">read for {entry.readFor}</span>
        ) : o ? (
          <Editions outlook={o} pairs={pairs} />
        ) : (
          <span className="word" role="status">
            setting …
          </span>
        )}
      </div>
      <div className="acts">
        <Next at={at} needs={o && nextFor(entry, pairs, o)} known={!!o} />
        <button
          type="button"
          className="down"
          aria-label={`Take ${entry.title} down`}
          onClick={() => onTakeDown(entry)}
        >
          take it down
        </button>
      </div>
    </li>
  )
}

function Editions({ outlook, pairs }: { outlook: Outlook; pairs: Pair[] }) {
  return outlook.editions.map(e => {
    const { lamp, word } = lampFor(pairs, outlook, e)
    const outlets = e.outlets.length === 1 ? '1 outlet' : `${e.outlets.length} outlets`
    return (
      <div key={e.id} className="edition">
        <Lamp state={lamp} />
        <div>
          <b>{kindWords[e.kind] ?? e.kind}</b> <span className="word">{word}</span>
          <p>{e.pages ? `${e.pages} pp · ${formatTrim(e.trim ?? '')}` : outlets}</p>
        </div>
      </div>
    )
  })
}

function Next({ at, needs, known }: { at: string; needs: ReturnType<typeof nextFor>; known: boolean }) {
  if (!needs) return <p className="next quiet">{known ? 'in order' : ''}</p>
  return (
    <p className="next">
      <Link prefetch={false} href={`${at}/${needs.stage}`}>
        {needs.words}
      </Link>
    </p>
  )
}
