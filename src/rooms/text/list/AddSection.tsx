'use client'
import { Button, Dropdown } from 'antd'
import type { Role } from '@/core/book'
import { roleOptions } from '@/parts/SectionKind'

/** Adds a section of a kind, by the three parts of a book. */
export function AddSection({ readOnly, onAdd }: { readOnly: boolean; onAdd: (role: Role) => void }) {
  return (
    <Dropdown
      disabled={readOnly}
      trigger={['click']}
      menu={{
        items: roleOptions.map(g => ({
          key: g.label,
          type: 'group' as const,
          label: g.label,
          children: g.options.map(o => ({ key: o.value, label: o.label })),
        })),
        onClick: ({ key }) => onAdd(key as Role),
        style: { maxHeight: 420, overflow: 'auto' },
      }}
    >
      <Button className="add">Add a section</Button>
    </Dropdown>
  )
}
