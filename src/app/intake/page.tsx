import { Suspense } from 'react'
import { IntakeRoom } from '@/rooms/intake/IntakeRoom'

export default function Page() {
  return (
    <Suspense>
      <IntakeRoom />
    </Suspense>
  )
}
