import { PreferencesRoom } from '@/rooms/preferences/PreferencesRoom'

export default function Page() {
  return <PreferencesRoom />
}
