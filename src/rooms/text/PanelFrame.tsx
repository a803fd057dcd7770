'use client'
import { Button } from 'antd'
import type { ReactNode } from 'react'

/** What stands in the place of the list of sections until it is closed: its name, what else stands at its head, and what it holds. */
export function PanelFrame({
  name,
  title = name,
  kind,
  close,
  beside,
  onClose,
  children,
}: {
  name: string
  /** What is read at its head, where that is another thing than its name. */
  title?: string
  /** Its style's word. */
  kind?: string
  /** What the button that closes it is called. */
  close: string
  /** Beside that button. */
  beside?: ReactNode
  onClose: () => void
  children: ReactNode
}) {
  return (
    <section className={kind ? `finding ${kind}` : 'finding'} aria-label={name}>
      <header>
        <h2>{title}</h2>
        {beside}
        <Button size="small" type="text" aria-label={close} onClick={onClose}>
          Done
        </Button>
      </header>
      {children}
    </section>
  )
}
