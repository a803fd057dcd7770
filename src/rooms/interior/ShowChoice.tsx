'use client'
import { Checkbox, Popover } from 'antd'
import { type Overlay, overlays } from './PageViews'

/** What is drawn over the pages: chosen from a list. */
export function ShowChoice({
  shown,
  onShow,
}: {
  shown: ReadonlySet<Overlay>
  onShow: (shown: ReadonlySet<Overlay>) => void
}) {
  return (
    <Popover
      trigger="click"
      placement="top"
      content={
        <div className="overlays">
          {overlays.map(o => (
            <Checkbox
              key={o.id}
              checked={shown.has(o.id)}
              onChange={() => {
                const n = new Set(shown)
                if (!n.delete(o.id)) n.add(o.id)
                onShow(n)
              }}
            >
              {o.words}
            </Checkbox>
          ))}
        </div>
      }
    >
      <button type="button" aria-pressed={shown.size > 0}>
        show …
      </button>
    </Popover>
  )
}
