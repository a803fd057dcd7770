import type { Rules } from '../rules'

/** How it is solved. */
export const rules: Rules = {
  en: [
    'Write a figure from 1 to 9 into every empty cell. The figures of a run add up to the number before it, and no figure comes twice in a run.',
    'There is one answer.',
  ],
  de: [
    'Schreiben Sie in jedes leere Feld eine Ziffer von 1 bis 9. Die Ziffern einer Reihe ergeben zusammen die Zahl davor, und keine Ziffer kommt in einer Reihe zweimal vor.',
    'Es gibt genau eine Lösung.',
  ],
  fr: [
    'Inscrivez un chiffre de 1 à 9 dans chaque case vide. Les chiffres d’une suite ont pour somme le nombre qui la précède, et aucun chiffre n’y vient deux fois.',
    'Il n’y a qu’une solution.',
  ],
  es: [
    'Escriba una cifra del 1 al 9 en cada casilla vacía. Las cifras de una serie suman el número que la precede, y ninguna cifra se repite en una serie.',
    'Hay una sola solución.',
  ],
  it: [
    'Scrivete una cifra da 1 a 9 in ogni casella vuota. Le cifre di una serie danno come somma il numero che la precede, e nessuna cifra vi si ripete.',
    'La soluzione è una sola.',
  ],
  pt: [
    'Escreva um algarismo de 1 a 9 em cada casa vazia. Os algarismos de uma série somam o número que a precede, e nenhum se repete numa série.',
    'Há uma só solução.',
  ],
  nl: [
    'Schrijf in elk leeg vakje een cijfer van 1 tot 9. De cijfers van een reeks zijn samen het getal ervoor, en geen cijfer komt in een reeks twee keer voor.',
    'Er is één oplossing.',
  ],
  sv: [
    'Skriv en siffra från 1 till 9 i varje tom ruta. Siffrorna i en följd blir tillsammans talet framför den, och ingen siffra kommer två gånger i en följd.',
    'Det finns en lösning.',
  ],
  pl: [
    'W każde puste pole wpisz cyfrę od 1 do 9. Suma cyfr ciągu równa się liczbie przed nim, a żadna cyfra nie powtarza się w ciągu.',
    'Jest jedno rozwiązanie.',
  ],
  cs: [
    'Do každého prázdného pole vepište číslici od 1 do 9. Součet číslic řady je číslo před ní a žádná číslice se v řadě neopakuje.',
    'Řešení je jedno.',
  ],
  da: [
    'Skriv et ciffer fra 1 til 9 i hvert tomt felt. Cifrene i en række felter giver tilsammen tallet foran, og intet ciffer kommer to gange i den.',
    'Der er én løsning.',
  ],
  nb: [
    'Skriv et siffer fra 1 til 9 i hver tom rute. Sifrene i en rekke blir til sammen tallet foran, og intet siffer kommer to ganger i en rekke.',
    'Det finnes én løsning.',
  ],
  fi: [
    'Kirjoita jokaiseen tyhjään ruutuun numero 1–9. Jonon numeroiden summa on sen edessä oleva luku, eikä mikään numero ole jonossa kahdesti.',
    'Ratkaisuja on yksi.',
  ],
  el: [
    'Γράψτε ένα ψηφίο από 1 έως 9 σε κάθε κενό τετράγωνο. Τα ψηφία μιας σειράς έχουν άθροισμα τον αριθμό πριν από αυτήν, και κανένα δεν επαναλαμβάνεται στη σειρά.',
    'Υπάρχει μία λύση.',
  ],
  ru: [
    'Впишите в каждую пустую клетку цифру от 1 до 9. Сумма цифр ряда равна числу перед ним, и ни одна цифра в ряду не повторяется.',
    'Решение одно.',
  ],
}
