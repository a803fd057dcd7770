import { cuss } from 'cuss'
import { cuss as cussEs } from 'cuss/es'
import { cuss as cussFr } from 'cuss/fr'
import { cuss as cussIt } from 'cuss/it'
import { cuss as cussPt } from 'cuss/pt'
import naughty from 'naughty-words'
import profane from 'profane-words'
import { once } from '../trade'
import { plainLetters } from './letters'

/** Shorter ones stand by chance in every grid; they offend nobody there. */
const LEAST = 3

/** Of five open lists and all their languages in Latin letters: words that no line of a grid may spell, without accents. */
export const offences = once((): readonly string[] => {
  const said = [
    ...[cuss, cussEs, cussFr, cussIt, cussPt].flatMap(list => Object.keys(list)),
    ...Object.values(naughty).flat(),
    ...profane,
  ]
  const latin = said.filter(w => !/[^\p{Script=Latin}\p{Script=Common}\p{Script=Inherited}]/u.test(w))
  return [...new Set(latin.map(plainLetters))].filter(w => w.length >= LEAST && /^[A-Z]+$/.test(w)).sort()
})
