'use client'
import { useState } from 'react'
import type { CoverDesign, Edition } from '@/core/book'
import type { Flat } from '@/core/cover'
import { bringInFront, bringInWrap, coverFileTypes } from '@/data/elsewhere'
import { ActValue } from '@/parts/ActValue'
import { FilePick } from '@/parts/FilePick'
import { bringUpToDate } from '@/parts/openBook'
import { saveAs } from '@/parts/saveAs'
import { useSay } from '@/parts/useSay'
import { WriterOnly } from '@/parts/WriterOnly'
import { press } from '@/workers/client'

/** The way out for whoever draws the cover elsewhere, and the way in for what they made. */
export function TemplateSentence({
  bookId,
  edition,
  outletId,
  flat,
  design,
}: {
  bookId: string
  edition: Edition
  outletId: string | undefined
  flat: Flat
  design: CoverDesign
}) {
  const say = useSay()
  const [busy, setBusy] = useState<'out' | 'in'>()
  const during = async (what: 'out' | 'in', work: () => Promise<void>): Promise<void> => {
    setBusy(what)
    await work().catch(say.failed)
    setBusy(undefined)
  }
  const take = (): Promise<void> =>
    during('out', async () => {
      await bringUpToDate(bookId)
      const { name, bytes } = await press().coverTemplate(bookId, edition.id, outletId)
      saveAs(bytes, name, 'application/zip')
      say.done(name)
    })
  const whole = (file: File): Promise<void> =>
    during('in', () => bringInWrap(bookId, file, edition.id, flat.sheets.length))
  const front = (file: File): Promise<void> => during('in', () => bringInFront(bookId, file, design))
  return (
    <div className="template">
      <p>
        Drawn elsewhere? Take{' '}
        <ActValue
          words={busy === 'out' ? 'making it …' : 'a template of this flat'}
          off={busy !== undefined}
          onAct={() => void take()}
        />
        : a PDF, an SVG, a PNG, a sheet of settings
        {edition.wrap ? ', and what has changed since the last file' : ''}.
      </p>
      <WriterOnly bookId={bookId}>
        <p>
          Bring in{' '}
          <FilePick label="A cover made elsewhere: file" accept={coverFileTypes} onPick={([f]) => void whole(f!)}>
            {pick => <ActValue words={busy === 'in' ? 'reading it …' : 'the whole cover'} off={!!busy} onAct={pick} />}
          </FilePick>{' '}
          or{' '}
          <FilePick label="A front made elsewhere: file" accept={coverFileTypes} onPick={([f]) => void front(f!)}>
            {pick => <ActValue words="a front" off={!!busy} onAct={pick} />}
          </FilePick>
          , as a PDF, a PNG or a JPEG.
        </p>
      </WriterOnly>
    </div>
  )
}
