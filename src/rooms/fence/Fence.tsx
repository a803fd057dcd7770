'use client'
import { Button } from 'antd'
import { usePathname, useRouter } from 'next/navigation'
import { BadBook } from '@/parts/BadBook'

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
          <>
            <p role="alert">{plain(error)}</p>
            <p className="ways">{ways}</p>
          </>
        )}
        <p className="quiet">Everything you wrote is kept; other books are not touched by this.</p>
      </div>
    </main>
  )
}

const plain = (e: Error): string =>
  e.name === 'Fault' || /[.!?]$/.test(e.message) ? e.message : `The program met with “${e.message.slice(0, 160)}”.`
