import { PlanRoom } from '@/rooms/plan/PlanRoom'

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  return <PlanRoom bookId={decodeURIComponent((await params).id)} />
}
