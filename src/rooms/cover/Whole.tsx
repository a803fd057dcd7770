import { sheetSize } from '@/core/cover'
import { showLength } from '@/parts/lengths'
import type { CoverView } from '@/workers/answers/covers'
import { Worked } from './Measures'

/** What the printer is sent, under the flat: its width and height open their worked lines. */
export function Whole({
  cover: { flat, measures },
  paper,
  outlet,
}: {
  cover: CoverView
  paper: string | undefined
  outlet: string | undefined
}) {
  const { width, height } = sheetSize(flat)
  const of = (name: 'width' | 'height') => measures.find(m => m.name === name)
  return (
    <p className="whole">
      {flat.sheets.length === 2 && 'two sheets, each '}
      <Worked measure={of('width')}>{showLength(width)} wide</Worked>,{' '}
      <Worked measure={of('height')}>{showLength(height)} high</Worked>{' '}
      {flat.binding === 'case' ? 'with what is turned in' : 'with bleed'} · {flat.pages} pages on {paper} · {outlet}
    </p>
  )
}
