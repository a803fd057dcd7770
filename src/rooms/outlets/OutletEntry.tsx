'use client'
import { Button } from 'antd'
import { string } from 'yup'
import type { OutletProfile } from '@/core/trade'
import { changeOutlet, originOf, putBeside, putOutlet, removeOutlet, restoreOutlet } from '@/data/outletChanges'
import { saveAs } from '@/parts/saveAs'
import { TextValue } from '@/parts/TextValue'
import { useSay } from '@/parts/useSay'
import type { TextField } from '@/parts/useTaken'
import { describe } from './describe'
import { Rates } from './Rates'

const nameSchema = string().trim().required('An outlet has a name.').max(80, 'A name takes at most 80 characters.')

/** The name of an outlet; no two have one. */
const nameField = (others: string[]): TextField<string> => ({
  label: 'Name of the outlet',
  problem: t => {
    try {
      nameSchema.notOneOf(others, 'Another outlet has this name.').validateSync(t.trim())
      return undefined
    } catch (e) {
      return (e as Error).message
    }
  },
  read: t => t.trim(),
  show: v => v ?? '',
})

/** An outlet in sentences: its figures, the books that go there, and what can be done with the profile. */
export function OutletEntry({
  profile: p,
  others,
  users,
}: {
  profile: OutletProfile
  /** Names of all other outlets. */
  others: string[]
  /** Titles of the books that go there. */
  users: string[]
}) {
  const say = useSay()
  const origin = originOf(p)
  /** Does a thing, and offers to have it as it was. */
  const offered = (work: Promise<unknown>, words: string): void =>
    void work.then(() => say.offer(words, 'Take it back', () => void putOutlet(p).catch(say.failed)), say.failed)
  return (
    <section aria-label={p.name}>
      <h3>
        <TextValue
          field={nameField(others)}
          value={p.name}
          empty="its name"
          onTake={name => (name === undefined ? undefined : changeOutlet(p.id, now => ({ ...now, name })))}
        />{' '}
        <span>
          {p.kind}
          {origin === 'own' ? ', your own' : origin === 'changed' ? ', changed' : ''}
        </span>
      </h3>
      <Rates profile={p} onChange={next => offered(changeOutlet(p.id, next), `${p.name} has another figure.`)} />
      {describe(p).map(s => (
        <p key={s}>{s}</p>
      ))}
      {(p.notes ?? []).map(n => (
        <p key={n}>{n}</p>
      ))}
      <p className="users">
        {users.length ? `${users.join(', ')} ${users.length === 1 ? 'goes' : 'go'} there.` : 'No book goes there.'}
      </p>
      <p className="acts">
        <Button
          size="small"
          onClick={() => saveAs(`${JSON.stringify(p, null, 2)}\n`, `${p.id}.json`, 'application/json')}
        >
          Save as JSON
        </Button>
        <Button
          size="small"
          onClick={() => void putBeside(p).then(c => say.done(`${c.name} stands behind the others.`), say.failed)}
        >
          Copy
        </Button>
        {origin === 'changed' && (
          <Button size="small" onClick={() => offered(restoreOutlet(p.id), `${p.name} is as it shipped.`)}>
            As it shipped
          </Button>
        )}
        <Button
          size="small"
          type="text"
          disabled={users.length > 0}
          title={users.length ? 'Books go there' : undefined}
          onClick={() => offered(removeOutlet(p.id), `${p.name} was taken out.`)}
        >
          Take out
        </Button>
      </p>
    </section>
  )
}
