'use client'
import { useRouter } from 'next/navigation'
import { App } from 'antd'
import { Cancelled } from '@/core/trade'
import { hold, nextHeld } from '@/data/waiting'
import { useSalvage } from '@/parts/useSalvage'
import { useSay } from '@/parts/useSay'
import type { bringIn as BringIn } from './bringIn'

// What takes a file in is loaded when one comes: the porch is there before.
const bringIn: typeof BringIn = async (...of) => (await import('./bringIn')).bringIn(...of)

/** How many losses are named before the rest is only counted. */
const LOSSES_NAMED = 12

/** Projects are books by themselves, as is a single manuscript; several manuscripts may be one book. */
function apart(files: File[]): [alone: File[], together: File[]] {
  const isProject = (f: File): boolean => f.name.toLowerCase().endsWith('.porchlight')
  const manuscripts = files.filter(f => !isProject(f))
  return manuscripts.length > 1 ? [files.filter(isProject), manuscripts] : [files, []]
}

/** Takes files onto the porch, one after the other: what is asked of the author on the way, and what is said of each. */
export function useBringIn(): (files: Iterable<File>) => Promise<void> {
  const { modal } = App.useApp()
  const say = useSay()
  const router = useRouter()
  const salvage = useSalvage()

  const turned = async (shown: string[]): Promise<boolean> =>
    modal.confirm({
      title: 'Signs that turn the direction of reading',
      content: (
        <>
          Unseen signs make what is written look otherwise:{' '}
          {shown.map(s => (
            <b key={s}>{s} </b>
          ))}
          . Hardly any book needs them.
        </>
      ),
      okText: 'Take them out',
      cancelText: 'Leave them in',
    })

  // A damaged file is brought in as far as it can be read only where the author wishes it.
  const salvaged = async (f: File, e: Error, done: () => void): ReturnType<typeof bringIn> => {
    done()
    await salvage(f.name, e)
    return bringIn(f, turned, true)
  }

  const listed = (name: string, lost: string[]): void =>
    void modal.info({
      title: `Not everything of ${name} could be taken`,
      content: (
        <ul>
          {lost.slice(0, LOSSES_NAMED).map(l => (
            <li key={l}>{l}</li>
          ))}
          {lost.length > LOSSES_NAMED && <li>and {lost.length - LOSSES_NAMED} more</li>}
        </ul>
      ),
    })

  return async files => {
    const [alone, together] = apart([...files])
    if (together.length) hold({ files: together })
    for (const f of alone) {
      const done = say.during(`Reading ${f.name} …`)
      try {
        const { title, lost, from } = await bringIn(f, turned).catch((e: Error) => salvaged(f, e, done))
        if (title)
          say.done(
            from
              ? `What ${from} sent back is in “${title}”: its changes wait in Text, among Others.`
              : `“${title}” stands on the porch.`,
          )
        if (lost?.length) listed(f.name, lost)
      } catch (e) {
        if (e instanceof Cancelled) say.note(`${f.name} was not brought in.`)
        else say.failed(e, f.name)
      } finally {
        done()
      }
    }
    if (nextHeld()) router.push('/intake')
  }
}
