export type { OpenBook } from './OpenedBook'
export { bringUpToDate, chooseEdition, useOpenBook } from './useOpenBook'
