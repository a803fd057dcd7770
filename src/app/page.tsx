import { Shelf } from '@/rooms/shelf/Shelf'

export default function Page() {
  return <Shelf />
}
