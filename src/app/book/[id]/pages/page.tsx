import { PagePlanRoom } from '@/rooms/pageplan/PagePlanRoom'

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  return <PagePlanRoom bookId={decodeURIComponent((await params).id)} />
}
