import { BackupRoom } from '@/rooms/backup/BackupRoom'

export default function Page() {
  return <BackupRoom />
}
