import { SuppliesRoom } from '@/rooms/supplies/SuppliesRoom'

export default function Page() {
  return <SuppliesRoom />
}
