/** What a book is read on: its screen in CSS pixels, and what it can show. */
export interface Device {
  id: string
  words: string
  width: number
  height: number
  /** Shows greys alone, on a screen that is never quite white, and turns its pages slowly. */
  ink?: true
  /** It lies on its side, and shows two pages of a book beside each other. */
  columns?: 1 | 2
}

export const devices: readonly Device[] = [
  { id: 'small-phone', words: 'a small phone', width: 320, height: 568 },
  { id: 'large-phone', words: 'a large phone', width: 412, height: 800 },
  { id: 'tablet', words: 'a tablet', width: 744, height: 1040 },
  { id: 'tablet-wide', words: 'a tablet on its side', width: 1040, height: 744, columns: 2 },
  { id: 'e-ink', words: 'an e-ink reader', width: 536, height: 720, ink: true },
]

/** How a reader has set the device. */
export interface Reader {
  device: string
  face: 'book' | 'serif' | 'plain'
  size: keyof typeof SIZES
  margins: keyof typeof MARGINS
  lines: keyof typeof LINES
  light: 'day' | 'night'
}

/** Pixels of the text. */
export const SIZES = { small: 14, usual: 17, large: 22, 'very large': 30 } as const
/** Parts of the screen's width. */
export const MARGINS = { narrow: 0.04, usual: 0.08, wide: 0.14 } as const
/** Distance of lines as parts of the size; nothing: as the book has it. */
export const LINES = { 'as the book has them': undefined, close: 1.25, open: 1.75 } as const

export const FACES: readonly { value: Reader['face']; words: string }[] = [
  { value: 'book', words: 'the book’s own face' },
  { value: 'serif', words: 'the device’s face' },
  { value: 'plain', words: 'a plain face' },
]

export const usual: Reader = {
  device: 'large-phone',
  face: 'book',
  size: 'usual',
  margins: 'usual',
  lines: 'as the book has them',
  light: 'day',
}

/** Paper and ink of a screen. */
export const tones = (device: Device, light: Reader['light']): { paper: string; ink: string } =>
  light === 'night'
    ? { paper: '#14181a', ink: '#cdc8bd' }
    : device.ink
      ? { paper: '#e4e2da', ink: '#1d1d1b' }
      : { paper: '#ffffff', ink: '#17191a' }
