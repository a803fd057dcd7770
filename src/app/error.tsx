'use client'
import { Fence } from '@/rooms/fence/Fence'

export default function RoomError({ error, reset }: { error: Error; reset: () => void }) {
  return <Fence error={error} retry={reset} />
}
