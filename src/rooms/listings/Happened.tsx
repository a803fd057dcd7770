'use client'
import { Button } from 'antd'
import { hasPackage } from '@/core/outlets'
import { blobBytes } from '@/data/blobs'
import type { Pair } from '@/parts/pairs'
import { saveAs } from '@/parts/saveAs'
import { useSay } from '@/parts/useSay'
import { day } from './day'

/** How many of the packages that were sent are offered. */
const SENT_SHOWN = 3

/** What happened to a listing and what is to come, the newest first; and the packages as they were sent. */
export function Happened({ pair: { state, events }, outlet, now }: { pair: Pair; outlet: string; now: number }) {
  const say = useSay()
  const old = async (hash: string, name: string): Promise<void> => {
    const bytes = await blobBytes(hash)
    if (bytes) saveAs(bytes, name, 'application/zip')
    else say.failed('The package is not in this library.')
  }
  const coming = state.proofs.filter(p => p.arrives > now)
  if (!state.history.length) return null
  return (
    <>
      <h3>What happened</h3>
      <ol className="happened">
        {[...state.history].reverse().map(h => (
          <li key={`${h.at}${h.what}`}>
            <time>{day(h.at)}</time> {h.what}
          </li>
        ))}
        {state.pending && (
          <li className="quiet">
            <time>{day(state.pending.decides)}</time> {outlet} decides
          </li>
        )}
        {coming.map(p => (
          <li key={p.arrives} className="quiet">
            <time>{day(p.arrives)}</time> the proof arrives
          </li>
        ))}
      </ol>
      {events
        .filter(hasPackage)
        .slice(-SENT_SHOWN)
        .map(e => (
          <Button
            key={`${e.kind}${e.at}`}
            type="link"
            size="small"
            style={{ padding: 0, marginRight: 12 }}
            onClick={() => void old(e.submission.zip, e.submission.name)}
          >
            {e.kind === 'sent' ? 'as sent' : 'as proofed'} {day(e.at)}
          </Button>
        ))}
    </>
  )
}
