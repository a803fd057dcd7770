import { isRecord } from './isRecord'
import { currentProfile } from '../trade'

/** Any record with its outlet profiles as they are written now: those that are frozen into what happened to listings. Pure; all else stays as it is. */
export function withCurrentProfiles<T>(value: T): T {
  if (Array.isArray(value)) return value.map(withCurrentProfiles) as T
  if (!isRecord(value)) return value
  const now = currentProfile(value) as T & object
  return now !== value
    ? now
    : (Object.fromEntries(Object.entries(value).map(([key, v]) => [key, withCurrentProfiles(v)])) as T)
}
