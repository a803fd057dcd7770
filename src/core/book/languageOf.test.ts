import { expect, test } from '@jest/globals'
import { languageOf, printedLanguages, printedWords } from '.'

/** A few lines in each language, written for this test. */
const lines: Record<string, string> = {
  en: 'The bell rang and nobody was with it. It was not that the rope had come off; the keeper said that to his wife, and she said nothing to him.',
  de: 'Die Glocke läutete und niemand war da. Das ist nicht der Wind, sagte der Wärter, und sie wunderte sich mit ihm, die Leine ist nicht ein Stück kürzer.',
  fr: 'La cloche sonna et il n’y eut pas une âme dans la tour. Les gens disent que les cordes ne bougent pas, que le vent est dans les voiles, et qui sait.',
  es: 'Las campanas sonaron y no había una persona en la torre. Dicen que los vientos del mar son fuertes, pero el farero no cree que las cuerdas se muevan por el aire.',
  it: 'La campana suonò e non c’era nessuno nel campanile. Gli uomini dicono che il vento della costa è più forte, che sono le corde, per una volta.',
  pt: 'O sino tocou e não havia uma alma na torre. Dizem que os ventos do mar são fortes, mas ele não crê que as cordas se movam, mais uma vez, com o ar.',
  nl: 'De klok luidde en er was niet een mens in de toren. Het is de wind van zee, zei de wachter, maar het touw zijn ze met zorg nagegaan, en ook dat hing stil.',
  sv: 'Klockan ringde och det fanns inte en själ i tornet. Det är vinden, sade vaktmästaren, men repet som hängde på väggen rörde sig inte, och för att det var kväll.',
  pl: 'Dzwon zadzwonił i nie było nikogo na wieży. To jest wiatr, powiedział strażnik, ale nie wierzył, że lina się rusza, jak na morzu, że był to wiatr.',
  cs: 'Zvon zazvonil a na věži se nikdo nehnul. To je vítr, řekl hlídač, ale že by se lano hýbalo, jako na moři, když byl klid, tak tomu na mou duši nevěřím, že.',
  da: 'Klokken ringede, og der blev ikke fundet en sjæl i tårnet. Det er vinden af havet, sagde jeg til mig selv, og tovet rørte sig ikke efter det, hvad man end siger.',
  nb: 'Klokken ringte, og det ble ikke funnet en sjel i tårnet. Det er vinden av havet, sa jeg til meg selv, og tauet rørte seg ikke etter det, hva man enn sier.',
  fi: 'Kello soi ja tornissa ei ollut ketään. Se oli tuuli, hän sanoi, mutta köysi ei liikkunut, ja kun oli niin tyyntä, että hän ei uskonut sitä, se oli outoa.',
  el: 'Η καμπάνα χτύπησε και δεν ήταν κανείς στον πύργο. Είναι ο άνεμος από το πέλαγος, είπε, που να το ξέρει, δεν κουνιέται το σκοινί με την άπνοια της νύχτας, και με το φως.',
  ru: 'Колокол зазвонил, и на башне не было никого. Это ветер, сказал он, но верёвка не двигалась, и как это было, он не знал, что на море было тихо, но его это пугало.',
}

test('a text tells its language by the words that hardly a page lacks', () => {
  expect(Object.keys(lines).sort()).toEqual([...printedLanguages].sort())
  for (const [tag, text] of Object.entries(lines)) expect([tag, languageOf(text)]).toEqual([tag, tag])
  expect(languageOf('Xyzzy plugh. 1907.')).toBeUndefined()
})

test('the words that a language is told by are its own: no language has those of another for the most part', () => {
  const sets = printedLanguages.map(l => new Set(printedWords(l).frequent.split(' ')))
  for (const [i, a] of sets.entries())
    for (const b of sets.slice(i + 1)) expect([...a].filter(w => b.has(w)).length).toBeLessThan(a.size)
})
