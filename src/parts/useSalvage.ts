'use client'
import { App } from 'antd'
import { Cancelled, Fault } from '@/core/trade'

/** Of a file that could not be read: asks whether what can be saved of it is wanted, where it is damaged. Throws what went wrong where it is not, and Cancelled where nobody wants it. */
export function useSalvage(): (file: string, fault: unknown) => Promise<void> {
  const { modal } = App.useApp()
  return async (file, fault) => {
    if (!(fault instanceof Fault && fault.code.startsWith('damaged'))) throw fault
    const wished = await modal.confirm({
      title: `${file} is damaged`,
      content: `${fault.message} Whatever can still be read of it can be brought in; what is lost will be listed. The file itself is not changed.`,
      okText: 'Bring in what can be saved',
      cancelText: 'Leave it',
    })
    if (!wished) throw new Cancelled()
  }
}
