'use client'
import { DeleteOutlined } from '@ant-design/icons'
import { Button } from 'antd'
import type { LogColumn } from '@/core/activity'
import { NumberValue } from '@/parts/Sentence'
import { StoredInput } from '@/parts/StoredInput'

const SHARES = { factor: 1, step: 0.5, digits: 1, unit: 'wide' }

/** The columns of a table: heading and share of the width of each. */
export function Columns({
  columns,
  most,
  onChange,
}: {
  columns: LogColumn[]
  most: number
  onChange: (label: string, next: (now: LogColumn[]) => LogColumn[], merge?: boolean) => Promise<boolean>
}) {
  const change = (label: string, i: number, patch: Partial<LogColumn>): Promise<boolean> =>
    onChange(label, now => now.map((c, j) => (j === i ? { ...c, ...patch } : c)), true)
  return (
    <div className="columns">
      {columns.map((c, i) => (
        <div key={i}>
          <span className="value">
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
