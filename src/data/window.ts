/** This window among all that are open: a name that no other ever has, and a lock that is held while it lives. */
export const windowId: string = globalThis.crypto.randomUUID()

export const windowLock = (id: string): string => `porchlight-window/${id}`

// Whoever is granted this lock knows that the window is gone.
if (typeof navigator !== 'undefined' && 'locks' in navigator)
  void navigator.locks.request(windowLock(windowId), () => new Promise<void>(() => undefined)).catch(() => undefined)
