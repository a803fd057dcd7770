'use client'
import { useState } from 'react'
import { bringUpToDate } from '@/parts/openBook'
import { saveAs } from '@/parts/saveAs'
import { useSay } from '@/parts/useSay'
import { press } from '@/workers/client'

/** The way for whoever draws the cover elsewhere. */
export function TemplateSentence({
  bookId,
  editionId,
  outletId,
}: {
  bookId: string
  editionId: string
  outletId: string | undefined
}) {
  const say = useSay()
  const [busy, setBusy] = useState(false)
  const take = async (): Promise<void> => {
    setBusy(true)
    try {
      await bringUpToDate(bookId)
      const { name, bytes } = await press().coverTemplate(bookId, editionId, outletId)
      saveAs(bytes, name, 'application/zip')
      say.done(name)
    } catch (e) {
      say.failed(e)
    } finally {
      setBusy(false)
    }
  }
  return (
    <p className="template">
      Drawn elsewhere? Take{' '}
      <span className="value">
        <button type="button" disabled={busy} onClick={() => void take()}>
          {busy ? 'making it …' : 'a template of this flat'}
        </button>
      </span>
      : a PDF, an SVG, a PNG, and a sheet of settings.
    </p>
  )
}
