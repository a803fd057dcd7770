'use client'
import { kindOf } from '@/core/activity'
import type { Run, RunHeading } from '@/core/book'
import { ChoiceValue, NumberValue, TextValue } from '@/parts/Sentence'
import type { ChangeRun } from './planChanges'

const COUNT = { factor: 1, step: 1, digits: 0, unit: '' }

/** What pages of a run are headed by: words, the name of each one's list, a number. */
export function Heading({ run: { heading, kind }, onChange }: { run: Run; onChange: ChangeRun }) {
  'use memo'
  const change = (label: string, next: (now: RunHeading) => Partial<RunHeading> | undefined): Promise<boolean> =>
    onChange(label, r => {
      const { words, from, listed } = { words: '', ...r.heading, ...next(r.heading ?? { words: '' }) }
      const stays = words !== '' || from !== undefined || listed
      return {
        heading: stays ? { words, ...(from !== undefined && { from }), ...(listed && { listed }) } : undefined,
      }
    })
  const by = heading?.listed ? 'list' : 'words'
  return (
    <p>
      Headed{' '}
      {kindOf(kind)?.listName && (
        <>
          <ChoiceValue
            label="Headings"
            value={by}
            choices={[
              { value: 'words', words: 'by' },
              { value: 'list', words: 'by the name of its list' },
            ]}
            onChange={v => void change('Heading of a run', () => ({ listed: v === 'list' }))}
          />{' '}
        </>
      )}
      {by === 'words' && (
        <TextValue
          label="Heading"
          placeholder="by nothing"
          most={300}
          value={heading?.words ?? ''}
          onTake={words => change('Heading of a run', () => ({ words }))}
        />
      )}
      {heading && (
        <>
          {', '}
          <ChoiceValue
            label="Numbers of headings"
            value={heading.from === undefined ? 'none' : 'from'}
            choices={[
              { value: 'none', words: 'without a number' },
              { value: 'from', words: 'numbered from' },
            ]}
            onChange={v => void change('Number of a heading', () => ({ from: v === 'from' ? 1 : undefined }))}
          />
          {heading.from !== undefined && (
            <>
              {' '}
              <NumberValue
                label="First number"
                value={heading.from}
                least={0}
                most={100_000}
                form={COUNT}
                onChange={from => void change('Number of a heading', () => ({ from }))}
              />
            </>
          )}
        </>
      )}
      .
    </p>
  )
}
