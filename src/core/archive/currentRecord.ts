import { withPricesByCurrency } from './priceMigration'
import { withRunParams } from './runMigration'

/** Any part of a book's record or history as it is written now, from whichever version since ids are unique. Pure; what is of this version stays as it is. */
export const currentRecord = <T>(value: T): T => withPricesByCurrency(withRunParams(value))
