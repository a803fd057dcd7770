'use client'
import { Button } from 'antd'
import dynamic from 'next/dynamic'
import { usePathname, useRouter } from 'next/navigation'
import type { ComponentProps } from 'react'
import type { BadBook as OfBook } from '@/parts/BadBook'

// The store has no part in what is seen first; where it does not come, the reason and the ways out still stand.
const BadBook = dynamic(() =>
  import('@/parts/BadBook').then(
    m => m.BadBook,
    () => Plainly,
  ),
)

/** Stands around a room: what goes wrong in it is said there, with the ways out, and reaches nothing else. */
export function Fence({ error, retry }: { error: Error; retry: () => void }) {
  const path = usePathname()
  const router = useRouter()
  const [, book] = /^\/book\/([^/]+)\//.exec(path) ?? []
  const id = book && decodeURIComponent(book)
  const ways = (
    <>
      <Button size="small" onClick={retry}>
        Try again
      </Button>
      <Button size="small" type="text" onClick={() => router.push('/porch')}>
        To the porch
      </Button>
    </>
  )
  return (
    <main id="room" className="room">
      <div className="fence">
        <h1>This room could not be shown</h1>
        {id ? (
          <BadBook id={id} title={id} why={plain(error)} onMended={retry}>
            {ways}
          </BadBook>
        ) : (
          <Plainly why={plain(error)}>{ways}</Plainly>
        )}
        <p className="quiet">Everything you wrote is kept; other books are not touched by this.</p>
      </div>
    </main>
  )
}

function Plainly({ why, children }: Pick<ComponentProps<typeof OfBook>, 'why' | 'children'>) {
  return (
    <>
      <p role="alert">{why}</p>
      <p className="ways">{children}</p>
    </>
  )
}

const plain = (e: Error): string =>
  e.name === 'Fault' || /[.!?]$/.test(e.message) ? e.message : `The program met with “${e.message.slice(0, 160)}”.`
