'use client'
import { Button } from 'antd'
import { useLiveQuery } from 'dexie-react-hooks'
import { useState } from 'react'
import { reckon } from '@/core/outlets'
import { formatMoney } from '@/core/trade'
import { listBooks } from '@/data/bookList'
import { missingShipped, restoreOutlet, usersOf } from '@/data/outletChanges'
import { FilePick } from '@/parts/FilePick'
import { Sill } from '@/parts/Sill'
import { useOutlets } from '@/parts/useOutlets'
import { useSay } from '@/parts/useSay'
import { OutletEntry } from './OutletEntry'
import { firstWish, Reckoner } from './Reckoner'
import { useBringOutlet } from './useBringOutlet'
import './outlets.css'

/** Outlets: the reckoner for a book that is not here, side by side, and the profiles: what each asks, pays and takes. */
export function OutletsRoom() {
  const outlets = useOutlets() ?? []
  const books = useLiveQuery(listBooks) ?? []
  const [asked, setWish] = useState(firstWish)
  const bring = useBringOutlet(outlets)
  const say = useSay()
  const printers = outlets.filter(p => p.print)
  // A price is meant in what the first printer is paid in.
  const wish = { ...asked, currency: printers[0]?.currency }
  const answers = printers.map(p => reckon(p, wish))
  // Royalties are held against each other where they are in one currency.
  const best = answers
    .filter(a => a.outlet.currency === wish.currency)
    .flatMap(a => ('earnings' in a ? a.earnings.slice(0, 1).map(e => ({ outlet: a.outlet, royalty: e.royalty })) : []))
    .sort((a, b) => b.royalty - a.royalty)[0]
  const missing = missingShipped(outlets)
  return (
    <>
      <main id="room" className="room outlets">
        <header className="topline">
          <h1>Outlets</h1>
          <FilePick
            label="Outlet profiles"
            accept=".json,application/json"
            multiple
            onPick={files => void bring(files)}
          >
            {open => <Button onClick={open}>Bring in a profile</Button>}
          </FilePick>
        </header>
        <div className="sheet">
          <h2>The reckoner</h2>
          <p className="teach">
            A book that is not here: what it would measure, cost and bring, wherever it could be printed.
          </p>
          {printers.length > 0 && <Reckoner printers={printers} wish={wish} onWish={setWish} />}
          <h2>What each asks and pays</h2>
          <p className="teach">
            A profile is an open document. Enter the figures of the printers and shops you use: change them here, or
            copy one, save it, and bring it in again.
          </p>
          <div className="profiles">
            {outlets.map(p => (
              <OutletEntry
                key={p.id}
                profile={p}
                others={outlets.filter(o => o.id !== p.id).map(o => o.name)}
                users={usersOf(p.id, books)}
              />
            ))}
          </div>
          {missing.length > 0 && (
            <p className="teach">
              Taken out:{' '}
              {missing.map(p => (
                <Button key={p.id} size="small" onClick={() => void restoreOutlet(p.id).catch(say.failed)}>
                  Put {p.name} back
                </Button>
              ))}
            </p>
          )}
        </div>
      </main>
      <Sill
        figures={[
          { name: 'Outlets', value: String(outlets.length) },
          { name: 'Can print it', value: String(answers.filter(a => !a.problems.length).length) },
        ]}
        asks={
          best && best.royalty > 0
            ? `${best.outlet.name} brings most: ${formatMoney(best.royalty, best.outlet.currency)} a copy`
            : undefined
        }
      />
    </>
  )
}
