import { InteriorRoom } from '@/rooms/interior/InteriorRoom'

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  return <InteriorRoom bookId={decodeURIComponent((await params).id)} />
}
