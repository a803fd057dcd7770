'use client'
import { Button, Popover, Select } from 'antd'
import { useState } from 'react'
import type { Book } from '@/core/book'
import { labels, shortName } from '@/core/book'
import { saveAs } from '@/parts/saveAs'
import { bringUpToDate } from '@/parts/openBook'
import { press } from '@/workers/client'
import type { InteriorFileKind } from '@/core/delivery'
import { useSay } from '@/parts/useSay'

const kinds: { kind: InteriorFileKind; name: string; words: string }[] = [
  { kind: 'press', name: 'For the press', words: 'trim and bleed boxes, fonts inside, black alone' },
  { kind: 'X-4', name: 'Prepared for PDF/X-4', words: 'the same, and what its greys or colours mean' },
  { kind: 'X-1a', name: 'Prepared for PDF/X-1a', words: 'inks alone, nothing seen through: what older presses take' },
  { kind: 'proof', name: 'A proof', words: 'crop marks, and “proof” on every page' },
  { kind: 'mail', name: 'Small, for mail', words: 'pictures for a screen' },
  { kind: 'tagged', name: 'For reading machines', words: 'tagged in reading order, pictures described' },
]

/** Pixels an inch, from a draft to what line art wants. */
const resolutions = [150, 200, 300, 450, 600]

/** The interior as files: for presses, for proof-readers, for mail; whole, or one section of it. */
export function Files({
  book,
  editionId,
  starts,
}: {
  book: Book
  editionId: string
  /** Sections that have pages. */ starts: ReadonlySet<string>
}) {
  const [section, setSection] = useState('')
  const [ppi, setPpi] = useState(300)
  const [busy, setBusy] = useState<InteriorFileKind | 'templates'>()
  const say = useSay()
  const names = labels(book.sections, book.data.language)
  const make = async (kind: InteriorFileKind | 'templates'): Promise<void> => {
    setBusy(kind)
    try {
      await bringUpToDate(book.id)
      const { name, bytes } =
        kind === 'templates'
          ? await press().templates(book.id, editionId)
          : await press().interiorFile(book.id, editionId, kind, section || undefined, ppi)
      saveAs(bytes, name, kind === 'templates' ? 'application/zip' : 'application/pdf')
      say.done(`${name}, ${(bytes.length / 1e6).toFixed(2)} MB`)
    } catch (e) {
      say.failed(e)
    } finally {
      setBusy(undefined)
    }
  }
  return (
    <Popover
      trigger="click"
      placement="top"
      content={
        <div className="files">
          <p>
            <label htmlFor="file-part">Of</label>{' '}
            <Select
              id="file-part"
              size="small"
              value={section}
              popupMatchSelectWidth={false}
              onChange={setSection}
              options={[
                { value: '', label: 'the whole interior' },
                ...book.sections
                  .filter(s => starts.has(s.id))
                  .map(s => ({ value: s.id, label: shortName(names.get(s.id)!) || s.role })),
              ]}
            />
            , <label htmlFor="file-ppi">pictures up to</label>{' '}
            <Select
              id="file-ppi"
              size="small"
              value={ppi}
              popupMatchSelectWidth={false}
              onChange={setPpi}
              options={resolutions.map(value => ({ value, label: `${value}` }))}
            />{' '}
            ppi
          </p>
          <ul>
            {kinds.map(k => (
              <li key={k.kind}>
                <span>
                  <b>{k.name}</b>
                  {k.words}
                </span>
                <Button
                  size="small"
                  loading={busy === k.kind}
                  disabled={!!busy}
                  onClick={() => void make(k.kind)}
                  aria-label={`Save: ${k.name}`}
                >
                  Save
                </Button>
              </li>
            ))}
            <li>
              <span>
                <b>Blank pages</b>templates with trim, bleed and margins at this count: for either side, and a left and
                right pair; PDF, SVG, PNG
              </span>
              <Button
                size="small"
                loading={busy === 'templates'}
                disabled={!!busy}
                onClick={() => void make('templates')}
                aria-label="Save: Blank pages"
              >
                Save
              </Button>
            </li>
          </ul>
        </div>
      }
    >
      <button type="button">files …</button>
    </Popover>
  )
}
