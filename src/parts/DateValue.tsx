'use client'
import { DatePicker } from 'antd'
import dayjs from 'dayjs'
import './sentence.css'

/** A day of a sentence: "2027-01-04". */
export function DateValue({
  label,
  value,
  onChange,
}: {
  label: string
  value: string
  onChange: (value: string) => void
}) {
  return (
    <span className="value">
      <DatePicker
        aria-label={label}
        size="small"
        variant="borderless"
        allowClear={false}
        suffixIcon={null}
        format="D MMMM YYYY"
        value={dayjs(value)}
        onChange={day => day?.isValid() && onChange(day.format('YYYY-MM-DD'))}
      />
    </span>
  )
}
