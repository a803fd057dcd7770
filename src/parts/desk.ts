import type { Tone } from '@/look/theme'
import type { Preferences } from './preferences'

/** Families of the desk's faces. */
export const deskFaces: Record<Preferences['desk']['face'], string> = {
  serif: "'Fraunces Variable', Georgia, serif",
  sans: "'Figtree Variable', sans-serif",
  print: "'EB Garamond Desk', Georgia, serif",
  dyslexic: "'Dyslexic Desk', 'Figtree Variable', sans-serif",
}
const papers: Record<Tone, Record<Preferences['desk']['paper'], string>> = {
  light: { plain: '#fbf8f1', warm: '#f8efdc', cool: '#f3f6f5' },
  dark: { plain: '#0f2128', warm: '#1f1d19', cool: '#0c1b24' },
}

/** The desk as custom properties: what the text room and its sample read. */
export const deskVariables = (desk: Preferences['desk'], tone: Tone): Record<string, string> => ({
  '--desk': papers[tone][desk.paper],
  '--desk-face': deskFaces[desk.face],
  '--desk-size': `${desk.size}px`,
  '--desk-leading': String(desk.leading),
  '--desk-measure': `${desk.measure}em`,
})
