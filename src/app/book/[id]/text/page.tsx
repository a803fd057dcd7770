import { TextRoom } from '@/rooms/text/TextRoom'

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  return <TextRoom bookId={decodeURIComponent((await params).id)} />
}
