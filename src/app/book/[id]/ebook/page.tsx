import { EbookRoom } from '@/rooms/ebook/EbookRoom'

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  return <EbookRoom bookId={decodeURIComponent((await params).id)} />
}
