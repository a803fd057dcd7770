export { readReturnedDocx } from './docx/readReturned'
export { slipIn } from './docx/slipIn'
export type { Returned, Told } from './returned'
