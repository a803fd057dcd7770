import { PorchRoom } from '@/rooms/porch/PorchRoom'

export default function Page() {
  return <PorchRoom />
}
