import { IntakeRoom } from '@/rooms/intake/IntakeRoom'

export default function Page() {
  return <IntakeRoom />
}
