'use client'
import { Button, InputNumber, Popover, Select } from 'antd'
import { type Edition, withException } from '@/core/book'
import { type InteriorStyle, readStyle, type StyleChanges, styleValue } from '@/core/pages'
import { useFollows, WriterOnly } from '@/parts/WriterOnly'
import { valueNames } from '@/parts/valueNames'
import { useCommit } from '@/parts/useCommit'

/** What may be otherwise at one opening, in the order in which it is seen. */
const paths = [
  'openings.recto',
  'openings.sink',
  'openings.ornament',
  'openings.picture',
  'openings.below',
  'firsts.initial',
  'firsts.leadIn',
  'breaks.ornament',
]
const AS_STYLE = 'as the style says'

/** An exception at one place: how this opening departs from the style. Shown where it is; one click takes it away. */
export function Exception({
  bookId,
  edition,
  section,
  title,
  style,
}: {
  bookId: string
  edition: Edition
  section: string
  title: string
  /** The style of all other openings. */ style: InteriorStyle
}) {
  const commit = useCommit(bookId)
  const follows = useFollows(bookId)
  const own: StyleChanges = edition.exceptions?.[section] ?? {}
  const count = Object.keys(own).length
  const set = (label: string, next: (own: StyleChanges) => StyleChanges, merge: boolean): void => {
    void commit(label, r => ({ editions: withException(r.editions, edition.id, section, next) }), merge)
  }
  const change = (path: string, value: number | boolean | string | undefined): void => {
    set(
      `Here: ${valueNames[path]}`,
      ({ [path]: _old, ...rest }) =>
        value === undefined || value === readStyle(style, path) ? rest : { ...rest, [path]: value },
      true,
    )
  }
  const field = (path: string) => {
    const v = styleValue(path)
    const now = own[path]
    if (v.kind === 'number')
      return (
        <InputNumber
          aria-label={`Here: ${valueNames[path]}`}
          size="small"
          min={v.least}
          max={v.most}
          step={v.step}
          value={now === undefined ? null : Number(now)}
          placeholder={String(readStyle(style, path))}
          onChange={x => change(path, x ?? undefined)}
          style={{ width: 130 }}
        />
      )
    if (v.kind === 'picture') return null
    return (
      <Select
        aria-label={`Here: ${valueNames[path]}`}
        size="small"
        popupMatchSelectWidth={false}
        value={now === undefined ? AS_STYLE : String(now)}
        onChange={s => change(path, v.choices.find(c => String(c.value) === s)?.value)}
        options={[
          { value: AS_STYLE, label: AS_STYLE },
          ...v.choices.map(c => ({ value: String(c.value), label: c.words })),
        ]}
      />
    )
  }
  return (
    <span className="exception" onClick={e => e.stopPropagation()}>
      <Popover
        trigger="click"
        placement="bottom"
        content={
          <WriterOnly bookId={bookId}>
            <div className="except">
              <p>
                How <b>{title}</b> opens, against the style:
              </p>
              <dl>
                {paths.map(p => (
                  <div key={p}>
                    <dt>{valueNames[p]}</dt>
                    <dd>{field(p)}</dd>
                  </div>
                ))}
              </dl>
            </div>
          </WriterOnly>
        }
      >
        <button type="button" className={count ? 'there' : ''}>
          {count ? `${count === 1 ? 'one exception' : `${count} exceptions`} here` : 'an exception here …'}
        </button>
      </Popover>
      {count > 0 && (
        <Button
          size="small"
          type="text"
          disabled={follows}
          aria-label={`Take away the exception at ${title}`}
          onClick={() => set('Exception taken away', () => ({}), false)}
        >
          ✕
        </Button>
      )}
    </span>
  )
}
