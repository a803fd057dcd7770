'use client'
import { Button, Dropdown } from 'antd'
import type { Role, StandingMatter } from '@/core/book'
import { roleOptions } from '@/parts/SectionKind'

const MATTER = 'matter/'

/** Adds a section of a kind, by the three parts of a book, or one that is kept for all books. */
export function AddSection({
  readOnly,
  matter,
  onAdd,
  onPlace,
}: {
  readOnly: boolean
  /** What is kept for all books. */
  matter: readonly StandingMatter[]
  onAdd: (role: Role) => void
  onPlace: (kept: StandingMatter) => void
}) {
  const standing = matter.map(m => ({ key: `${MATTER}${m.id}`, label: m.name }))
  return (
    <Dropdown
      disabled={readOnly}
      autoFocus
      trigger={['click']}
      menu={{
        items: [
          ...(standing.length
            ? [{ key: 'standing', type: 'group' as const, label: 'Standing matter', children: standing }]
            : []),
          ...roleOptions.map(g => ({
            key: g.label,
            type: 'group' as const,
            label: g.label,
            children: g.options.map(o => ({ key: o.value, label: o.label })),
          })),
        ],
        onClick: ({ key }) => {
          const kept = matter.find(m => `${MATTER}${m.id}` === key)
          if (kept) onPlace(kept)
          else onAdd(key as Role)
        },
        style: { maxHeight: 420, overflow: 'auto' },
      }}
    >
      <Button className="add">Add a section</Button>
    </Dropdown>
  )
}
