'use client'
import { Button, InputNumber, Popover } from 'antd'
import { useState } from 'react'
import type { FitOffer } from '@/core/pages'
import { press } from '@/workers/client'
import { useFollows } from '@/parts/WriterOnly'
import { valueSaid } from '@/parts/valueNames'
import { useSay } from '@/parts/useSay'
import { useCommit } from '@/parts/useCommit'

/** Makes the book fit a count of pages: the least visible way is worked out and shown before it is taken. */
export function Fit({ bookId, editionId, pages }: { bookId: string; editionId: string; pages: number }) {
  const [open, setOpen] = useState(false)
  const [target, setTarget] = useState<number | null>(pages)
  const [busy, setBusy] = useState(false)
  const [offer, setOffer] = useState<FitOffer | 'none'>()
  const say = useSay()
  const commit = useCommit(bookId)
  const follows = useFollows(bookId)
  const ask = async (): Promise<void> => {
    if (!target) return
    setBusy(true)
    setOffer(undefined)
    try {
      setOffer((await press().fit(bookId, editionId, target)) ?? 'none')
    } catch (e) {
      say.failed(e)
    } finally {
      setBusy(false)
    }
  }
  const take = (o: FitOffer): void => {
    void commit(`Made to fit ${o.pages} pages`, r => ({
      editions: r.editions.map(e =>
        e.id === editionId ? { ...e, styleChanges: { ...e.styleChanges, ...o.changes } } : e,
      ),
    })).then(stands => stands && setOpen(false))
  }
  const inWords = (path: string, value: number | boolean | string): string => {
    const said = valueSaid(path, value)
    return said.charAt(0).toLowerCase() + said.slice(1)
  }
  return (
    <Popover
      trigger="click"
      open={open}
      placement="top"
      onOpenChange={o => {
        setOpen(o)
        setOffer(undefined)
        setTarget(pages)
      }}
      content={
        <div className="fit">
          <form
            onSubmit={e => {
              e.preventDefault()
              void ask()
            }}
          >
            <label>
              Make it fit{' '}
              <InputNumber
                aria-label="Pages to fit"
                size="small"
                min={2}
                max={2000}
                value={target}
                onChange={setTarget}
                style={{ width: 76 }}
              />{' '}
              pages
            </label>
            <Button size="small" htmlType="submit" loading={busy} disabled={!target || target === pages}>
              Work it out
            </Button>
          </form>
          {offer === 'none' && (
            <p role="status">
              It cannot come nearer than {pages} without being ill made: leading, margins and size have gone as far as
              they may.
            </p>
          )}
          {offer && offer !== 'none' && (
            <div role="status">
              <p>
                <b>{offer.pages} pages</b> with{' '}
                {Object.entries(offer.changes)
                  .map(([path, value]) => inWords(path, value))
                  .join(' and ')}
                .{offer.pages !== target ? ` ${target} itself cannot be had: chapters begin on new pages.` : ''}
              </p>
              <p>
                <Button size="small" type="primary" disabled={follows} onClick={() => take(offer)}>
                  Take it
                </Button>{' '}
                <Button size="small" type="text" onClick={() => setOpen(false)}>
                  Leave it
                </Button>
              </p>
            </div>
          )}
        </div>
      }
    >
      <button type="button">fit to a count …</button>
    </Popover>
  )
}
