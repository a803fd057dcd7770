'use client'
import { Button, Select } from 'antd'
import type { Book, Contributor } from '@/core/book'
import { commit } from '@/data/changes'
import { useSay } from '@/parts/useSay'
import { Field } from './Field'
import { otherField } from './planFields'

const otherRoles = [
  ['edt', 'editor'],
  ['ill', 'illustrator'],
  ['trl', 'translator'],
  ['aui', 'author of the foreword'],
  ['pht', 'photographer'],
  ['aut', 'co-author'],
].map(([value, label]) => ({ value: value!, label: label! }))

/** Everybody else who made the book, each with a role. */
export function Contributors({ book }: { book: Book }) {
  const { contributors } = book.data
  const first = contributors.find(c => c.role === 'aut')
  const others = contributors.filter(c => c !== first)
  const say = useSay()
  const set = (label: string, next: Contributor[]): Promise<void> =>
    commit(book.id, label, r => ({ data: { ...r.data, contributors: [...(first ? [first] : []), ...next] } }))
  return (
    <div className="field others">
      {others.map((c, i) => (
        <div className="line" key={i}>
          <Field
            field={otherField}
            value={c.name || undefined}
            onTake={v =>
              set(
                `Contributor ${v ?? ''}`,
                v ? others.map((o, j) => (j === i ? { ...o, name: v } : o)) : others.filter((_, j) => j !== i),
              )
            }
          />
          <div className="field" style={{ width: 190 }}>
            <label htmlFor={`role-${i}`}>As</label>
            <Select
              id={`role-${i}`}
              value={c.role}
              options={otherRoles}
              onChange={role =>
                void set(
                  `Role of ${c.name}`,
                  others.map((o, j) => (j === i ? { ...o, role } : o)),
                ).catch(say.failed)
              }
              style={{ width: '100%' }}
            />
          </div>
          <Button
            type="text"
            size="small"
            className="remove"
            aria-label={`Remove ${c.name || 'contributor'}`}
            onClick={() =>
              void set(
                `Remove ${c.name}`,
                others.filter((_, j) => j !== i),
              ).catch(say.failed)
            }
          >
            remove
          </Button>
        </div>
      ))}
      <button
        type="button"
        className="add"
        onClick={() => void set('Add a contributor', [...others, { name: 'Name', role: 'edt' }]).catch(say.failed)}
      >
        add an editor, illustrator, translator …
      </button>
    </div>
  )
}
