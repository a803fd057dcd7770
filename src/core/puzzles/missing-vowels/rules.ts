import type { Rules } from '../rules'

/** How it is solved. */
export const rules: Rules = {
  en: [
    'The vowels of each word were taken out, and what is left may stand in other groups.',
    'Write the word into the boxes, a letter in each.',
  ],
  de: [
    'Aus jedem Wort wurden die Vokale genommen; was übrig ist, kann anders gruppiert sein.',
    'Schreiben Sie das Wort in die Kästchen, einen Buchstaben in jedes.',
  ],
  fr: [
    'Les voyelles de chaque mot ont été ôtées, et ce qui reste peut être groupé autrement.',
    'Écrivez le mot dans les cases, une lettre dans chacune.',
  ],
  es: [
    'A cada palabra se le quitaron las vocales, y lo que queda puede estar agrupado de otro modo.',
    'Escriba la palabra en las casillas, una letra en cada una.',
  ],
  it: [
    'Da ogni parola sono state tolte le vocali, e quel che resta può essere raggruppato in altro modo.',
    'Scrivete la parola nelle caselle, una lettera in ciascuna.',
  ],
  pt: [
    'Tiraram-se as vogais de cada palavra, e o que resta pode estar agrupado de outro modo.',
    'Escreva a palavra nas casas, uma letra em cada uma.',
  ],
  nl: [
    'Uit elk woord zijn de klinkers gehaald, en wat overblijft kan anders gegroepeerd staan.',
    'Schrijf het woord in de vakjes, in elk een letter.',
  ],
  sv: [
    'Vokalerna är borttagna ur varje ord, och det som är kvar kan vara grupperat annorlunda.',
    'Skriv ordet i rutorna, en bokstav i varje.',
  ],
  pl: [
    'Z każdego wyrazu wyjęto samogłoski, a to, co zostało, może być inaczej pogrupowane.',
    'Wpisz wyraz w kratki, po jednej literze w każdą.',
  ],
  cs: [
    'Z každého slova byly vyjmuty samohlásky a zbytek může být seskupen jinak.',
    'Zapište slovo do políček, do každého jedno písmeno.',
  ],
  da: [
    'Vokalerne er taget ud af hvert ord, og resten kan stå i andre grupper.',
    'Skriv ordet i felterne, et bogstav i hvert.',
  ],
  nb: [
    'Vokalene er tatt ut av hvert ord, og det som er igjen, kan stå i andre grupper.',
    'Skriv ordet i rutene, én bokstav i hver.',
  ],
  fi: [
    'Jokaisesta sanasta on otettu vokaalit pois, ja loput voivat olla toisin ryhmiteltyinä.',
    'Kirjoita sana ruutuihin, kirjain kuhunkin.',
  ],
  el: [
    'Από κάθε λέξη βγήκαν τα φωνήεντα, και ό,τι μένει μπορεί να είναι αλλιώς χωρισμένο.',
    'Γράψτε τη λέξη στα τετράγωνα, ένα γράμμα στο καθένα.',
  ],
  ru: [
    'Из каждого слова убраны гласные, а остальное может быть разбито иначе.',
    'Впишите слово в клетки, по букве в каждую.',
  ],
}
