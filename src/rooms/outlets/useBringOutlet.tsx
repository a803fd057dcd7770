'use client'
import { App } from 'antd'
import { Fault, type OutletProfile, readProfile } from '@/core/trade'
import { putBeside, putOutlet } from '@/data/outletChanges'
import { useSay } from '@/parts/useSay'

/** Takes outlet profiles from files. Where an outlet of its id is there, the author says whether it stands in its place or beside it. */
export function useBringOutlet(known: readonly OutletProfile[]): (files: File[]) => Promise<void> {
  const { modal } = App.useApp()
  const say = useSay()
  return async files => {
    for (const f of files)
      try {
        const profile = readProfile(parsed(await f.text()))
        const here = known.find(p => p.id === profile.id)
        const instead =
          here &&
          (await modal.confirm({
            title: `${here.name} is here already`,
            content: 'The figures of the file can take its place: what follows from them in its books moves at once.',
            okText: 'In its place',
            cancelText: 'Beside it',
          }))
        if (here && !instead) await putBeside(profile)
        else await putOutlet(profile)
        say.done(`${profile.name} is among the outlets.`)
      } catch (e) {
        say.failed(e, f.name)
      }
  }
}

function parsed(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch {
    throw new Fault('profile', 'This is no outlet profile: it is not JSON.')
  }
}
