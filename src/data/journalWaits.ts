/** Before every entry of the journal in local storage. */
export const JOURNAL = 'porchlight-journal/'

/** Whether words of any window wait in the journal's first copy: they come before everything else. */
export const journalWaits = (): boolean => Object.keys(localStorage).some(k => k.startsWith(JOURNAL))

/** How long the journal's second copy, which is read by a worker's means, may wait until the page stands, milliseconds. */
export const STANDS_BY = 2500
