import { CheckRoom } from '@/rooms/check/CheckRoom'

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  return <CheckRoom bookId={decodeURIComponent((await params).id)} />
}
