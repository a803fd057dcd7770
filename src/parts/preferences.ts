'use client'
import { useSyncExternalStore } from 'react'

/** How the author likes it: units, tone, the desk they write at, how they proof-read. Kept in this browser. */
export interface Preferences {
  unit: 'in' | 'mm'
  tone: 'light' | 'dark' | 'system'
  desk: {
    face: 'serif' | 'sans' | 'print' | 'dyslexic'
    size: number
    leading: number
    measure: number
    paper: 'plain' | 'warm' | 'cool'
    /** What is seen clearly: all of the text, or the paragraph that is written. */
    focus: 'all' | 'paragraph'
    /** Where the line is that is written: anywhere, or always in the middle. */
    line: 'free' | 'middle'
  }
  proof: {
    /** Kinds of doubt that are switched off. */
    off: readonly string[]
    /** Doubts stand in the margin while their list is open, or always. */
    margin: 'open' | 'always'
  }
}

export const defaultPreferences: Preferences = {
  unit: 'in',
  tone: 'system',
  desk: { face: 'serif', size: 18, leading: 1.6, measure: 36, paper: 'plain', focus: 'all', line: 'free' },
  proof: { off: ['overused', 'alike', 'numbers'], margin: 'open' },
}

const KEY = 'porchlight-preferences'
const listeners = new Set<() => void>()
let known: { text: string | null; value: Preferences } = { text: null, value: defaultPreferences }

/** The preferences now. The same object until they change. */
export function preferences(): Preferences {
  if (typeof localStorage === 'undefined') return defaultPreferences
  const text = localStorage.getItem(KEY)
  if (text === known.text) return known.value
  let value = defaultPreferences
  try {
    const read = JSON.parse(text ?? '{}') as Partial<Preferences>
    value = {
      ...defaultPreferences,
      ...read,
      desk: { ...defaultPreferences.desk, ...read.desk },
      proof: { ...defaultPreferences.proof, ...read.proof },
    }
  } catch {
    // What cannot be read is as if it were not there.
  }
  known = { text, value }
  return value
}

export function setPreferences(patch: Partial<Preferences>): void {
  localStorage.setItem(KEY, JSON.stringify({ ...preferences(), ...patch }))
  listeners.forEach(l => l())
}

function listen(l: () => void): () => void {
  listeners.add(l)
  addEventListener('storage', l)
  return () => {
    listeners.delete(l)
    removeEventListener('storage', l)
  }
}

export const usePreferences = (): Preferences => useSyncExternalStore(listen, preferences, () => defaultPreferences)
