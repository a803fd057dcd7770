import type { Rules } from '../rules'

/** How it is solved. */
export const rules: Rules = {
  en: ['The letters of each word are out of order. Write the word into the boxes.', 'Each has one answer.'],
  de: [
    'Die Buchstaben jedes Wortes sind durcheinander. Schreiben Sie das Wort in die Kästchen.',
    'Jedes hat genau eine Lösung.',
  ],
  fr: ['Les lettres de chaque mot sont en désordre. Écrivez le mot dans les cases.', 'Chacun n’a qu’une solution.'],
  es: [
    'Las letras de cada palabra están desordenadas. Escriba la palabra en las casillas.',
    'Cada una tiene una sola solución.',
  ],
  it: [
    'Le lettere di ogni parola sono in disordine. Scrivete la parola nelle caselle.',
    'Ognuna ha una sola soluzione.',
  ],
  pt: ['As letras de cada palavra estão fora de ordem. Escreva a palavra nas casas.', 'Cada uma tem uma só solução.'],
  nl: ['De letters van elk woord staan door elkaar. Schrijf het woord in de vakjes.', 'Elk heeft één oplossing.'],
  sv: ['Bokstäverna i varje ord är omkastade. Skriv ordet i rutorna.', 'Vart och ett har en lösning.'],
  pl: ['Litery każdego wyrazu są przestawione. Wpisz wyraz w kratki.', 'Każdy ma jedno rozwiązanie.'],
  cs: ['Písmena každého slova jsou zpřeházená. Zapište slovo do políček.', 'Každé má jedno řešení.'],
  da: ['Bogstaverne i hvert ord er byttet rundt. Skriv ordet i felterne.', 'Hvert har én løsning.'],
  nb: ['Bokstavene i hvert ord er stokket om. Skriv ordet i rutene.', 'Hvert har én løsning.'],
  fi: ['Jokaisen sanan kirjaimet ovat sekaisin. Kirjoita sana ruutuihin.', 'Jokaisella on yksi ratkaisu.'],
  el: ['Τα γράμματα κάθε λέξης είναι ανακατεμένα. Γράψτε τη λέξη στα τετράγωνα.', 'Καθεμία έχει μία λύση.'],
  ru: ['Буквы каждого слова переставлены. Впишите слово в клетки.', 'У каждого одно решение.'],
}
