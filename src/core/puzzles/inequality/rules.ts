import type { Rules } from '../rules'

/** How it is solved. */
export const rules: Rules = {
  en: [
    'Write a figure into every empty cell, so that each row and each column has every figure once.',
    'Where a sign stands between two cells, its open side is to the larger figure.',
  ],
  de: [
    'Schreiben Sie in jedes leere Feld eine Ziffer, sodass in jeder Zeile und jeder Spalte jede Ziffer einmal steht.',
    'Steht zwischen zwei Feldern ein Zeichen, so ist seine offene Seite der größeren Ziffer zugewandt.',
  ],
  fr: [
    'Inscrivez un chiffre dans chaque case vide, de sorte que chaque ligne et chaque colonne contienne une fois chaque chiffre.',
    'Là où un signe se trouve entre deux cases, son côté ouvert est tourné vers le plus grand chiffre.',
  ],
  es: [
    'Escriba una cifra en cada casilla vacía, de modo que cada fila y cada columna tenga una vez cada cifra.',
    'Donde hay un signo entre dos casillas, su lado abierto mira a la cifra mayor.',
  ],
  it: [
    'Scrivete una cifra in ogni casella vuota, in modo che ogni riga e ogni colonna abbia una volta ogni cifra.',
    'Dove tra due caselle c’è un segno, il suo lato aperto è verso la cifra maggiore.',
  ],
  pt: [
    'Escreva um algarismo em cada casa vazia, de modo que cada linha e cada coluna tenha uma vez cada algarismo.',
    'Onde há um sinal entre duas casas, o seu lado aberto está voltado para o algarismo maior.',
  ],
  nl: [
    'Schrijf in elk leeg vakje een cijfer, zodat elke rij en elke kolom elk cijfer één keer heeft.',
    'Waar tussen twee vakjes een teken staat, is de open kant naar het grootste cijfer gericht.',
  ],
  sv: [
    'Skriv en siffra i varje tom ruta, så att varje rad och varje kolumn har varje siffra en gång.',
    'Där ett tecken står mellan två rutor är dess öppna sida vänd mot den större siffran.',
  ],
  pl: [
    'W każde puste pole wpisz cyfrę tak, aby w każdym wierszu i każdej kolumnie każda cyfra była raz.',
    'Tam, gdzie między dwoma polami stoi znak, jego otwarta strona zwrócona jest do większej cyfry.',
  ],
  cs: [
    'Do každého prázdného pole vepište číslici tak, aby v každém řádku a každém sloupci byla každá číslice jednou.',
    'Kde mezi dvěma poli stojí znak, je jeho otevřená strana obrácena k větší číslici.',
  ],
  da: [
    'Skriv et ciffer i hvert tomt felt, så hver række og hver kolonne har hvert ciffer én gang.',
    'Hvor der står et tegn mellem to felter, vender dets åbne side mod det største ciffer.',
  ],
  nb: [
    'Skriv et siffer i hver tom rute, slik at hver rad og hver kolonne har hvert siffer én gang.',
    'Der det står et tegn mellom to ruter, vender den åpne siden mot det største sifferet.',
  ],
  fi: [
    'Kirjoita jokaiseen tyhjään ruutuun numero niin, että joka rivillä ja joka sarakkeessa on kukin numero kerran.',
    'Kun kahden ruudun välissä on merkki, sen avoin puoli on suurempaan numeroon päin.',
  ],
  el: [
    'Γράψτε ένα ψηφίο σε κάθε κενό τετράγωνο, ώστε κάθε γραμμή και κάθε στήλη να έχει κάθε ψηφίο μία φορά.',
    'Όπου ανάμεσα σε δύο τετράγωνα υπάρχει σημείο, η ανοιχτή του πλευρά βλέπει το μεγαλύτερο ψηφίο.',
  ],
  ru: [
    'Впишите в каждую пустую клетку цифру так, чтобы в каждой строке и каждом столбце каждая цифра была один раз.',
    'Где между двумя клетками стоит знак, его открытая сторона обращена к большей цифре.',
  ],
}
