'use client'
import { Select } from 'antd'
import type { ReactNode } from 'react'
import './sentence.css'

/** So many of them are named. */
const SHOWN = 3

/** A value of a sentence that is several of some choices, in the order in which they were chosen. */
export function SeveralValue({
  label,
  value,
  choices,
  none,
  shown,
  counted,
  onChange,
}: {
  label: string
  value: readonly string[]
  choices: readonly { value: string; words: string }[]
  /** What stands there where none is chosen. */
  none: string
  /** A choice as it is offered, where that is more than its words. */
  shown?: (value: string, words: string) => ReactNode
  /** What stands there in the place of their names, where there are too many to be read. */
  counted?: (chosen: number) => string
  onChange: (now: string[]) => void
}) {
  'use memo'
  const wordsOf = (id: string): string => choices.find(c => c.value === id)?.words ?? id
  return (
    <span className="value">
      <Select
        aria-label={label}
        size="small"
        variant="borderless"
        mode="multiple"
        className="several"
        popupMatchSelectWidth={false}
        suffixIcon={null}
        placeholder={none}
        optionFilterProp="label"
        // One line of the sentence holds no more of them.
        maxTagCount={counted ? 0 : value.length > SHOWN ? SHOWN - 1 : SHOWN}
        maxTagPlaceholder={left => (
          <span className="tag">{counted ? counted(value.length) : `and ${left.length} more`}</span>
        )}
        value={[...value]}
        options={choices.map(c => ({ value: c.value, label: c.words }))}
        {...(shown && {
          optionRender: ({ value: id }: { value?: string | number }) => shown(String(id), wordsOf(String(id))),
        })}
        tagRender={({ value: id, label: said, onClose }) =>
          // What stands for those that are not named has no value of its own.
          id === undefined ? (
            <>{said}</>
          ) : (
            <span className="tag" onClick={onClose}>
              {wordsOf(String(id))}
            </span>
          )
        }
        onChange={onChange}
      />
    </span>
  )
}
