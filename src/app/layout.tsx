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
    // The tone is set before the program runs, and so before React knows of it.
    <html lang="en" suppressHydrationWarning>
      <head>
        {/* Its own file, since the policy lets no page run words of its own; not deferred, since nothing may be drawn before. */}
        <script src="/tone.js" />
      </head>
      <body>
        <Frame>{children}</Frame>
      </body>
    </html>
  )
}
