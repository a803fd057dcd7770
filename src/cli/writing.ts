import { access, constants, stat } from 'node:fs/promises'
import { dirname } from 'node:path'
import { Fault } from '@/core/trade'

/** Throws a Fault where a folder cannot be written, before anything is made for it; it is not made yet. */
export async function mayWriteTo(folder: string, typed: string): Promise<void> {
  for (let at = folder; ; at = dirname(at)) {
    const there = await stat(at).catch(() => undefined)
    if (!there && dirname(at) !== at) continue
    const may =
      there?.isDirectory() &&
      (await access(at, constants.W_OK).then(
        () => true,
        () => false,
      ))
    if (!may)
      throw new Fault(
        'out',
        `Nothing can be written to “${typed.slice(0, 80)}”: it is no folder, or not yours to write in.`,
      )
    return
  }
}

export function readDate(text: string | undefined): string {
  const day = text ?? new Date().toISOString().slice(0, 10)
  if (
    !/^\d{4}-\d{2}-\d{2}(T\d{2}:\d{2}:\d{2}Z)?$/.test(day) ||
    Number.isNaN(Date.parse(day)) ||
    new Date(Date.parse(day.slice(0, 10))).toISOString().slice(0, 10) !== day.slice(0, 10)
  )
    throw new Fault('date', `“${day.slice(0, 40)}” is no date: write it like 2026-05-31.`)
  return day.length === 10 ? `${day}T00:00:00Z` : day
}
