import type { Tone } from '@/look/theme'
import type { Preferences } from './preferences'

const faces: Record<Preferences['desk']['face'], string> = {
  serif: "'Fraunces Variable', Georgia, serif",
  sans: "'Figtree Variable', sans-serif",
  print: "'EB Garamond Desk', Georgia, serif",
}
const papers: Record<Tone, Record<Preferences['desk']['paper'], string>> = {
  light: { plain: '#fbf8f1', warm: '#f8efdc', cool: '#f3f6f5' },
  dark: { plain: '#0f2128', warm: '#1f1d19', cool: '#0c1b24' },
}

/** The desk as custom properties: what the text room and its sample read. */
export const deskVariables = (desk: Preferences['desk'], tone: Tone): Record<string, string> => ({
  '--desk': papers[tone][desk.paper],
  '--desk-face': faces[desk.face],
  '--desk-size': `${desk.size}px`,
  '--desk-leading': String(desk.leading),
  '--desk-measure': `${desk.measure}em`,
})
