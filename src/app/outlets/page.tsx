import { OutletsRoom } from '@/rooms/outlets/OutletsRoom'

export default function Page() {
  return <OutletsRoom />
}
