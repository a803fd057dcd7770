'use client'
import { DeleteOutlined } from '@ant-design/icons'
import { Button } from 'antd'
import type { LogColumn } from '@/core/activity'
import { NumberValue } from '@/parts/Sentence'
import { StoredInput } from '@/parts/StoredInput'

const SHARES = { factor: 1, step: 0.5, digits: 1, unit: 'wide' }

/** A column without what nothing is said in. */
const withoutEmpty = ({ unit, under, ...c }: LogColumn): LogColumn => ({
  ...c,
  ...(unit && { unit }),
  ...(under && { under }),
})

/** The columns of a table: heading, share of the width, unit, and a head over several. */
export function Columns({
  columns,
  most,
  onChange,
}: {
  columns: LogColumn[]
  most: number
  onChange: (label: string, next: (now: LogColumn[]) => LogColumn[], merge?: boolean) => Promise<boolean>
}) {
  'use memo'
  const change = (label: string, i: number, patch: Partial<LogColumn>): Promise<boolean> =>
    onChange(label, now => now.map((c, j) => (j === i ? withoutEmpty({ ...c, ...patch }) : c)), true)
  return (
    <div className="columns">
      {columns.map((c, i) => (
        <div key={i} className="column">
          <span className="value name">
            <StoredInput
              size="small"
              variant="borderless"
              aria-label={`Column ${i + 1}`}
              placeholder="no heading"
              value={c.name}
              maxLength={200}
              onTake={name => change('Name of a column', i, { name })}
            />
          </span>
          <NumberValue
            label={`Share of column ${i + 1}`}
            value={c.share}
            least={0.5}
            most={20}
            form={SHARES}
            onChange={share => void change('Share of a column', i, { share })}
          />
          <Button
            size="small"
            type="text"
            aria-label={`Remove column ${i + 1}`}
            disabled={columns.length < 2 || undefined}
            icon={<DeleteOutlined />}
            onClick={() => void onChange('Remove a column', now => now.filter((_, j) => j !== i))}
          />
          <span className="besides">
            in{' '}
            <Beside
              label={`Unit of column ${i + 1}`}
              none="no unit"
              value={c.unit}
              onTake={unit => change('Unit of a column', i, { unit })}
            />
            , under{' '}
            <Beside
              label={`Head over column ${i + 1}`}
              none="no head"
              value={c.under}
              onTake={under => change('Head over columns', i, { under })}
            />
          </span>
        </div>
      ))}
      <Button
        size="small"
        disabled={columns.length >= most || undefined}
        onClick={() => void onChange('Add a column', now => [...now, { name: '', share: 2 }])}
      >
        Add a column
      </Button>
    </div>
  )
}

function Beside({
  label,
  none,
  value,
  onTake,
}: {
  label: string
  none: string
  value: string | undefined
  onTake: (words: string) => Promise<boolean>
}) {
  return (
    <span className="value">
      <StoredInput
        size="small"
        variant="borderless"
        aria-label={label}
        placeholder={none}
        maxLength={40}
        value={value ?? ''}
        onTake={onTake}
      />
    </span>
  )
}
