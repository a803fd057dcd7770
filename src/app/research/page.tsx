import { Suspense } from 'react'
import { ResearchRoom } from '@/rooms/research/ResearchRoom'

export default function Page() {
  return (
    <Suspense>
      <ResearchRoom />
    </Suspense>
  )
}
