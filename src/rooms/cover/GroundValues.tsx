'use client'
import { Button, Select } from 'antd'
import { type CoverDesign, shippedDesigns } from '@/core/cover'
import { bringInPicture, pictureTypes } from '@/data/pictures'
import { FilePick } from '@/parts/FilePick'
import { useSay } from '@/parts/useSay'
import { Tint } from './Tint'

const motifs: Record<CoverDesign['motif']['kind'], string> = {
  'tide and lamp': 'Tide and lamp',
  rows: 'Rows',
  plain: 'Plain ground',
}

/** What lies under the words: the design, its ornament and colours, a picture. */
export function GroundValues({
  bookId,
  design,
  readOnly,
  onChange,
}: {
  bookId: string
  design: CoverDesign
  readOnly: boolean
  onChange: (label: string, patch: (d: CoverDesign) => CoverDesign) => void
}) {
  const say = useSay()
  const bringPicture = async (file: File): Promise<void> => {
    try {
      await bringInPicture(bookId, file, (r, asset) => ({
        cover: { ...(r.cover ?? design), picture: { asset: asset.id, over: 'front' } },
      }))
    } catch (e) {
      say.failed(e)
    }
  }
  return (
    <>
      <h2>Ground</h2>
      <label className="row">
        Design{' '}
        <Select
          size="small"
          aria-label="Design"
          value={shippedDesigns.some(d => d.id === design.id) ? design.id : undefined}
          placeholder="own"
          disabled={readOnly}
          options={shippedDesigns.map(d => ({ value: d.id, label: d.name }))}
          onChange={id =>
            onChange('Design', d => ({
              ...shippedDesigns.find(x => x.id === id)!,
              ...(d.picture ? { picture: d.picture } : {}),
            }))
          }
        />
      </label>
      <label className="row">
        Ornament{' '}
        <Select
          size="small"
          aria-label="Ornament"
          value={design.motif.kind}
          disabled={readOnly}
          options={Object.entries(motifs).map(([value, label]) => ({
            value: value as CoverDesign['motif']['kind'],
            label,
          }))}
          onChange={kind => onChange('Ornament', d => ({ ...d, motif: { ...d.motif, kind } }))}
        />
      </label>
      <div className="colours">
        <Tint
          label="Ground"
          value={design.ground.colour}
          disabled={readOnly}
          onTake={c => onChange('Ground colour', d => ({ ...d, ground: { ...d.ground, colour: c } }))}
        />
        <Tint
          label="Light"
          value={design.motif.light}
          disabled={readOnly}
          onTake={c => onChange('Light of the ornament', d => ({ ...d, motif: { ...d.motif, light: c } }))}
        />
        <Tint
          label="Accent"
          value={design.motif.accent}
          disabled={readOnly}
          onTake={c => onChange('Accent of the ornament', d => ({ ...d, motif: { ...d.motif, accent: c } }))}
        />
      </div>
      <div className="row">
        Picture
        {design.picture ? (
          <span>
            <Select
              size="small"
              aria-label="Picture covers"
              value={design.picture.over}
              disabled={readOnly}
              options={[
                { value: 'front' as const, label: 'over the front' },
                { value: 'sheet' as const, label: 'over the whole sheet' },
              ]}
              onChange={over => onChange('Picture’s area', d => ({ ...d, picture: { ...d.picture!, over } }))}
            />
            <Button
              size="small"
              type="text"
              disabled={readOnly}
              onClick={() => onChange('Take the picture away', ({ picture: _p, ...d }) => d)}
            >
              Remove
            </Button>
          </span>
        ) : (
          <FilePick label="Cover picture file" accept={pictureTypes} onPick={([file]) => void bringPicture(file!)}>
            {pick => (
              <Button size="small" disabled={readOnly} onClick={pick}>
                Bring one in
              </Button>
            )}
          </FilePick>
        )}
      </div>
    </>
  )
}
