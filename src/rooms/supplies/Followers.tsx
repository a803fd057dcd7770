'use client'
import { Button } from 'antd'
import { type Followed, type Follower, spread } from '@/data/matter'
import { spreadInWords } from '@/parts/spreadInWords'
import { useSay } from '@/parts/useSay'
import { BookLinks } from './BookLinks'
import { FORMER } from './useFormer'

/** The books that follow something, and where each stands to it. */
export function Followers({ followers, none }: { followers: readonly Follower[]; none: string }) {
  return (
    <BookLinks
      room="text"
      none={none}
      books={followers.map(({ book, title, section, states, sellsFormer }) => ({
        id: book,
        title,
        section,
        ...(states.includes('changed here')
          ? { says: 'changed there' }
          : states.includes('behind')
            ? { says: 'as it was before' }
            : sellsFormer
              ? { says: FORMER }
              : {}),
      }))}
    />
  )
}

/** The way to bring books up to date that are behind; nothing where none is. */
export function BringUp({ followed, followers }: { followed: Followed; followers: readonly Follower[] }) {
  const say = useSay()
  const behind = followers.filter(f => f.states.includes('behind')).length
  if (!behind) return null
  const bringUp = (): void =>
    void spread(followed).then(done => done.left.length && say.warn(spreadInWords(done)), say.failed)
  return (
    <Button size="small" type="link" onClick={bringUp}>
      Bring {behind === 1 ? 'it' : `all ${behind}`} up to date
    </Button>
  )
}
