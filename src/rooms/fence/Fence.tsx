'use client'
import { Button } from 'antd'
import { usePathname, useRouter } from 'next/navigation'
import { Component, type ReactNode } from 'react'
import { BadBook } from '@/parts/BadBook'

/** Stands around a room: what goes wrong in it is said there, with the ways out, and reaches nothing else. */
export function Fence({ error, retry }: { error: Error; retry: () => void }) {
  const path = usePathname()
  const router = useRouter()
  const [, book] = /^\/book\/([^/]+)\//.exec(path) ?? []
  const id = book && decodeURIComponent(book)
  return (
    <main id="room" className="room">
      <div className="fence">
        <h1>This room could not be shown</h1>
        {id ? <BadBook id={id} title={id} why={plain(error)} onMended={retry}><span /></BadBook> : <p role="alert">{plain(error)}</p>}
        <p>
          <Button onClick={retry}>Try again</Button> <Button type="text" onClick={() => router.push('/')}>To the shelf</Button>
        </p>
        <p className="quiet">Everything you wrote is kept; other books are not touched by this.</p>
      </div>
    </main>
  )
}

const plain = (e: Error): string => (e.name === 'Fault' || /[.!?]$/.test(e.message) ? e.message : `The program met with “${e.message.slice(0, 160)}”.`)

/** A fence around one thing among many: where it cannot be drawn, `otherwise` stands in its place. */
export class Beside extends Component<{ children: ReactNode; otherwise: (error: Error) => ReactNode }, { error?: Error }> {
  override state: { error?: Error } = {}
  static getDerivedStateFromError(error: Error): { error: Error } {
    return { error }
  }
  override render(): ReactNode {
    return this.state.error ? this.props.otherwise(this.state.error) : this.props.children
  }
}
