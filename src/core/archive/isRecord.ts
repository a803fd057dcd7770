/** Whether a value is a plain record, from whichever realm it comes: what a store gives back may be made elsewhere. Bytes, dates and files are none. */
export const isRecord = (v: unknown): v is Record<string, unknown> =>
  Object.prototype.toString.call(v) === '[object Object]'
