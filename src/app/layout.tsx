import '@fontsource-variable/figtree'
import '@fontsource-variable/fraunces'
import '@/look/global.css'
import type { Metadata } from 'next'
import type { ReactNode } from 'react'
import { Frame } from '@/parts/Frame'

export const metadata: Metadata = {
  title: 'Porchlight',
  description: 'One source for each book; everything else follows from it.',
}

/** Each answer has a nonce of its own (src/proxy.ts), so none is made beforehand. */
export const dynamic = 'force-dynamic'

export default function Layout({ children }: { children: ReactNode }) {
  return (
    <html lang="en">
      <body>
        <Frame>{children}</Frame>
      </body>
    </html>
  )
}
