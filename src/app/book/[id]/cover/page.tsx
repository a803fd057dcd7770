import { CoverRoom } from '@/rooms/cover/CoverRoom'

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  return <CoverRoom bookId={decodeURIComponent((await params).id)} />
}
