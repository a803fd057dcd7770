import { ListingsRoom } from '@/rooms/listings/ListingsRoom'

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  return <ListingsRoom bookId={decodeURIComponent((await params).id)} />
}
