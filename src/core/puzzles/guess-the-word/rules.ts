import type { Rules } from '../rules'

/** How it is solved. */
export const rules: Rules = {
  en: [
    'For two. One looks the words up among the answers, the other names a letter at a time and crosses it out on the strip.',
    'Each time it is in the word, it is written wherever it stands; each time it is not, a lamp goes out. The word is to be found before all are out.',
  ],
  de: [
    'Für zwei. Einer schlägt die Wörter bei den Lösungen nach, der andere nennt einen Buchstaben nach dem anderen und streicht ihn auf dem Streifen aus.',
    'Kommt er im Wort vor, wird er überall eingetragen, wo er steht; kommt er nicht vor, erlischt eine Lampe. Das Wort muss gefunden sein, bevor alle erloschen sind.',
  ],
  fr: [
    'Pour deux. L’un regarde les mots parmi les solutions, l’autre nomme une lettre à la fois et la raye sur la bande.',
    'Si elle est dans le mot, on l’écrit partout où elle s’y trouve\u202f; sinon, une lampe s’éteint. Il faut trouver le mot avant que toutes soient éteintes.',
  ],
  es: [
    'Para dos. Uno mira las palabras entre las soluciones, el otro dice una letra cada vez y la tacha en la tira.',
    'Si está en la palabra, se escribe en todos sus sitios; si no está, se apaga una lámpara. Hay que hallar la palabra antes de que se apaguen todas.',
  ],
  it: [
    'Per due. Uno guarda le parole tra le soluzioni, l’altro dice una lettera alla volta e la cancella sulla striscia.',
    'Se è nella parola, la si scrive ovunque si trovi; se non c’è, si spegne una lampada. La parola va trovata prima che siano tutte spente.',
  ],
  pt: [
    'Para dois. Um vê as palavras entre as soluções, o outro diz uma letra de cada vez e risca-a na tira.',
    'Se está na palavra, escreve-se em todos os seus lugares; se não está, apaga-se uma lâmpada. A palavra tem de ser achada antes que todas se apaguem.',
  ],
  nl: [
    'Voor twee. De een zoekt de woorden op bij de oplossingen, de ander noemt telkens een letter en streept die door op de strook.',
    'Zit hij in het woord, dan wordt hij overal ingevuld waar hij staat; zit hij er niet in, dan gaat er een lamp uit. Het woord moet gevonden zijn voor alle uit zijn.',
  ],
  sv: [
    'För två. Den ena slår upp orden bland lösningarna, den andra säger en bokstav i taget och stryker den på remsan.',
    'Finns den i ordet skrivs den överallt där den står; finns den inte slocknar en lampa. Ordet ska vara funnet innan alla har slocknat.',
  ],
  pl: [
    'Dla dwojga. Jedno sprawdza wyrazy wśród rozwiązań, drugie podaje po jednej literze i skreśla ją na pasku.',
    'Jeśli jest w wyrazie, wpisuje się ją wszędzie, gdzie stoi; jeśli jej nie ma, gaśnie lampa. Wyraz trzeba znaleźć, zanim zgasną wszystkie.',
  ],
  cs: [
    'Pro dva. Jeden hledá slova mezi řešeními, druhý říká po jednom písmenu a škrtá je na proužku.',
    'Je-li ve slově, zapíše se všude, kde stojí; není-li, zhasne lampa. Slovo je třeba najít, než zhasnou všechny.',
  ],
  da: [
    'For to. Den ene slår ordene op blandt løsningerne, den anden nævner ét bogstav ad gangen og streger det ud på strimlen.',
    'Er det i ordet, skrives det alle steder, hvor det står; er det ikke, slukkes en lampe. Ordet skal findes, før alle er slukket.',
  ],
  nb: [
    'For to. Den ene slår opp ordene blant løsningene, den andre sier én bokstav om gangen og stryker den ut på remsen.',
    'Er den i ordet, skrives den overalt der den står; er den ikke det, slukker en lampe. Ordet må finnes før alle er slukket.',
  ],
  fi: [
    'Kahdelle. Toinen katsoo sanat ratkaisuista, toinen sanoo kirjaimen kerrallaan ja vetää sen yli nauhassa.',
    'Jos se on sanassa, se kirjoitetaan kaikkiin paikkoihinsa; jos ei, yksi lamppu sammuu. Sana on löydettävä ennen kuin kaikki ovat sammuneet.',
  ],
  el: [
    'Για δύο. Ο ένας βλέπει τις λέξεις στις λύσεις, ο άλλος λέει ένα γράμμα κάθε φορά και το διαγράφει στη λωρίδα.',
    'Αν είναι στη λέξη, γράφεται όπου στέκει· αν δεν είναι, σβήνει μια λάμπα. Η λέξη πρέπει να βρεθεί πριν σβήσουν όλες.',
  ],
  ru: [
    'Для двоих. Один смотрит слова в ответах, другой называет по одной букве и вычёркивает её на полоске.',
    'Если она есть в слове, её пишут везде, где она стоит; если нет, гаснет лампа. Слово надо найти, пока не погасли все.',
  ],
}
