import type { Rules } from '../rules'

/** How it is solved. */
export const rules: Rules = {
  en: [
    'Each letter stands for another, the same all through; none stands for itself.',
    'Short words, and letters that come often, tell the most. Some letters are given.',
  ],
  de: [
    'Jeder Buchstabe steht für einen anderen, überall für denselben; keiner steht für sich selbst.',
    'Kurze Wörter und häufige Buchstaben verraten am meisten. Einige Buchstaben sind vorgegeben.',
  ],
  fr: [
    'Chaque lettre en remplace une autre, la même partout\u202f; aucune ne se remplace elle-même.',
    'Les mots courts et les lettres fréquentes en disent le plus. Quelques lettres sont données.',
  ],
  es: [
    'Cada letra está en lugar de otra, siempre la misma; ninguna está en lugar de sí misma.',
    'Las palabras cortas y las letras frecuentes son las que más dicen. Algunas letras están dadas.',
  ],
  it: [
    'Ogni lettera sta per un’altra, sempre la stessa; nessuna sta per sé stessa.',
    'Le parole corte e le lettere frequenti dicono di più. Alcune lettere sono date.',
  ],
  pt: [
    'Cada letra está no lugar de outra, sempre a mesma; nenhuma está no lugar de si própria.',
    'As palavras curtas e as letras frequentes são as que mais dizem. Algumas letras são dadas.',
  ],
  nl: [
    'Elke letter staat voor een andere, overal dezelfde; geen enkele staat voor zichzelf.',
    'Korte woorden en veel voorkomende letters verraden het meest. Enkele letters zijn gegeven.',
  ],
  sv: [
    'Varje bokstav står för en annan, överallt densamma; ingen står för sig själv.',
    'Korta ord och vanliga bokstäver säger mest. Några bokstäver är givna.',
  ],
  pl: [
    'Każda litera zastępuje inną, wszędzie tę samą; żadna nie zastępuje samej siebie.',
    'Najwięcej mówią krótkie wyrazy i częste litery. Niektóre litery są podane.',
  ],
  cs: [
    'Každé písmeno zastupuje jiné, všude stejné; žádné nezastupuje samo sebe.',
    'Nejvíc prozradí krátká slova a častá písmena. Některá písmena jsou dána.',
  ],
  da: [
    'Hvert bogstav står for et andet, overalt det samme; intet står for sig selv.',
    'Korte ord og hyppige bogstaver siger mest. Nogle bogstaver er givet.',
  ],
  nb: [
    'Hver bokstav står for en annen, overalt den samme; ingen står for seg selv.',
    'Korte ord og vanlige bokstaver sier mest. Noen bokstaver er gitt.',
  ],
  fi: [
    'Jokainen kirjain on toisen sijalla, kaikkialla saman; mikään ei ole omalla sijallaan.',
    'Eniten kertovat lyhyet sanat ja yleiset kirjaimet. Joitakin kirjaimia on annettu.',
  ],
  el: [
    'Κάθε γράμμα στέκει για ένα άλλο, παντού το ίδιο· κανένα δεν στέκει για τον εαυτό του.',
    'Οι σύντομες λέξεις και τα συχνά γράμματα λένε τα περισσότερα. Μερικά γράμματα δίνονται.',
  ],
  ru: [
    'Каждая буква стоит вместо другой, везде одной и той же; ни одна не стоит вместо себя.',
    'Больше всего говорят короткие слова и частые буквы. Некоторые буквы даны.',
  ],
}
