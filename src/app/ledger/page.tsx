import { LedgerRoom } from '@/rooms/ledger/LedgerRoom'

export default function Page() {
  return <LedgerRoom />
}
