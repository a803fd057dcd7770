import { array, boolean, number, object, type Schema, string } from 'yup'

/**
 * The words that schemas of records are written in: strict, bounded, and with sentences about what is wrong. `${path}` is put in by
 * who reads them out. Only shapes say that they are strict: what stands in one is never cast.
 */

export const text = (most: number) => string().max(most, '${path} is longer than ${max} characters')
export const whole = (least: number, most: number) =>
  number()
    .integer('${path} wants a whole number')
    .min(least, '${path} is less than ${min}')
    .max(most, '${path} is more than ${max}')
export const amount = (least: number, most: number) =>
  number().min(least, '${path} is less than ${min}').max(most, '${path} is more than ${max}')
export const yesNo = () => boolean()
export const one = (...of: string[]) => string().oneOf(of, '${path} is none of the values it may have')
export const list = <S extends Schema>(of: S, most: number) =>
  array(of as never).max(most, '${path} has more than ${max} entries')
export const like = (form: RegExp, words: string) => string().matches(form, `\${path} ${words}`)
export const shape = <T extends Record<string, Schema>>(fields: T) =>
  object(fields).strict().noUnknown('${path} has “${unknown}”, which is nothing it may have')
export const optional = <S extends { optional(): unknown; default(v: undefined): { optional(): unknown } }>(s: S) =>
  s.default(undefined).optional() as S
