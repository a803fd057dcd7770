import type { Rules } from '../rules'

/** How it is solved. */
export const rules: Rules = {
  en: [
    'Write a figure into every empty cell, so that each row, each column and each box has every figure once.',
    'There is one answer, and it never needs a guess.',
  ],
  de: [
    'Schreiben Sie in jedes leere Feld eine Ziffer, sodass in jeder Zeile, jeder Spalte und jedem Block jede Ziffer einmal steht.',
    'Es gibt genau eine Lösung, und geraten werden muss nie.',
  ],
  fr: [
    'Inscrivez un chiffre dans chaque case vide, de sorte que chaque ligne, chaque colonne et chaque bloc contienne une fois chaque chiffre.',
    'Il n’y a qu’une solution, et il n’est jamais besoin de deviner.',
  ],
  es: [
    'Escriba una cifra en cada casilla vacía, de modo que cada fila, cada columna y cada bloque tenga una vez cada cifra.',
    'Hay una sola solución, y nunca hace falta adivinar.',
  ],
  it: [
    'Scrivete una cifra in ogni casella vuota, in modo che ogni riga, ogni colonna e ogni riquadro abbia una volta ogni cifra.',
    'La soluzione è una sola, e non occorre mai indovinare.',
  ],
  pt: [
    'Escreva um algarismo em cada casa vazia, de modo que cada linha, cada coluna e cada bloco tenha uma vez cada algarismo.',
    'Há uma só solução, e nunca é preciso adivinhar.',
  ],
  nl: [
    'Schrijf in elk leeg vakje een cijfer, zodat elke rij, elke kolom en elk blok elk cijfer één keer heeft.',
    'Er is één oplossing, en gokken is nooit nodig.',
  ],
  sv: [
    'Skriv en siffra i varje tom ruta, så att varje rad, varje kolumn och varje block har varje siffra en gång.',
    'Det finns en lösning, och man behöver aldrig gissa.',
  ],
  pl: [
    'W każde puste pole wpisz cyfrę tak, aby w każdym wierszu, każdej kolumnie i każdym bloku każda cyfra była raz.',
    'Jest jedno rozwiązanie i nigdy nie trzeba zgadywać.',
  ],
  cs: [
    'Do každého prázdného pole vepište číslici tak, aby v každém řádku, každém sloupci a každém bloku byla každá číslice jednou.',
    'Řešení je jedno a nikdy není třeba hádat.',
  ],
  da: [
    'Skriv et ciffer i hvert tomt felt, så hver række, hver kolonne og hver boks har hvert ciffer én gang.',
    'Der er én løsning, og man behøver aldrig gætte.',
  ],
  nb: [
    'Skriv et siffer i hver tom rute, slik at hver rad, hver kolonne og hver boks har hvert siffer én gang.',
    'Det finnes én løsning, og man trenger aldri å gjette.',
  ],
  fi: [
    'Kirjoita jokaiseen tyhjään ruutuun numero niin, että joka rivillä, joka sarakkeessa ja joka lohkossa on kukin numero kerran.',
    'Ratkaisuja on yksi, eikä arvata tarvitse koskaan.',
  ],
  el: [
    'Γράψτε ένα ψηφίο σε κάθε κενό τετράγωνο, ώστε κάθε γραμμή, κάθε στήλη και κάθε πλαίσιο να έχει κάθε ψηφίο μία φορά.',
    'Υπάρχει μία λύση, και δεν χρειάζεται ποτέ να μαντέψετε.',
  ],
  ru: [
    'Впишите в каждую пустую клетку цифру так, чтобы в каждой строке, каждом столбце и каждом блоке каждая цифра была один раз.',
    'Решение одно, и угадывать никогда не нужно.',
  ],
}
