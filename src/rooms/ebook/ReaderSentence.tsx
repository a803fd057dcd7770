'use client'
import type { OutletProfile } from '@/core/trade'
import { ChoiceValue, Sentence } from '@/parts/Sentence'
import { devices, FACES, LINES, MARGINS, type Reader, SIZES } from './devices'

const own = (of: object): { value: string; words: string }[] => Object.keys(of).map(k => ({ value: k, words: k }))

const choices: Record<keyof Reader, readonly { value: string; words: string }[]> = {
  device: devices.map(d => ({ value: d.id, words: d.words })),
  face: FACES,
  size: own(SIZES),
  margins: own(MARGINS),
  lines: own(LINES),
  light: [
    { value: 'day', words: 'day' },
    { value: 'night', words: 'night' },
  ],
}

const names: Record<keyof Reader, string> = {
  device: 'Device',
  face: 'Face',
  size: 'Size of letters',
  margins: 'Margins',
  lines: 'Lines',
  light: 'Light',
}

/** How the reader has set the device, as one sentence. */
export function ReaderSentence({
  reader,
  outlet,
  fixed,
  onChange,
}: {
  reader: Reader
  /** Where it goes. */
  outlet: OutletProfile | undefined
  /** Its pages are as they are: nothing of them is the reader's to set. */
  fixed: boolean
  onChange: (reader: Reader) => void
}) {
  'use memo'
  return (
    <p className="reader">
      <Sentence
        words={
          fixed
            ? 'Read on {device}, page by page, as they are printed.'
            : 'Read on {device}, in {face}, letters {size}, margins {margins}, lines {lines}, by {light}.'
        }
        value={name =>
          name === 'face' && outlet?.ebook?.shows?.face ? (
            `${outlet.name}’s own face`
          ) : (
            <ChoiceValue
              key={name}
              label={names[name as keyof Reader]}
              value={reader[name as keyof Reader]}
              choices={choices[name as keyof Reader]}
              onChange={v => onChange({ ...reader, [name]: v } as Reader)}
            />
          )
        }
      />
    </p>
  )
}
