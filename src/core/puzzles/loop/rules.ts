import type { Rules } from '../rules'

/** How it is solved. */
export const rules: Rules = {
  en: [
    'Draw one closed line along the dots, which never crosses or touches itself.',
    'A number says how many of its cell’s four sides belong to the line.',
  ],
  de: [
    'Ziehen Sie an den Punkten entlang eine geschlossene Linie, die sich nirgends kreuzt oder berührt.',
    'Eine Zahl sagt, wie viele der vier Seiten ihres Feldes zur Linie gehören.',
  ],
  fr: [
    'Tracez le long des points une seule ligne fermée, qui ne se croise ni ne se touche jamais.',
    'Un nombre dit combien des quatre côtés de sa case appartiennent à la ligne.',
  ],
  es: [
    'Trace a lo largo de los puntos una sola línea cerrada, que nunca se cruza ni se toca.',
    'Un número dice cuántos de los cuatro lados de su casilla pertenecen a la línea.',
  ],
  it: [
    'Tracciate lungo i punti una sola linea chiusa, che non si incrocia e non si tocca mai.',
    'Un numero dice quanti dei quattro lati della sua casella appartengono alla linea.',
  ],
  pt: [
    'Trace ao longo dos pontos uma só linha fechada, que nunca se cruza nem se toca.',
    'Um número diz quantos dos quatro lados da sua casa pertencem à linha.',
  ],
  nl: [
    'Trek langs de punten één gesloten lijn, die zichzelf nergens kruist of raakt.',
    'Een getal zegt hoeveel van de vier zijden van zijn vakje bij de lijn horen.',
  ],
  sv: [
    'Dra en sluten linje längs punkterna, som aldrig korsar eller rör sig själv.',
    'Ett tal säger hur många av rutans fyra sidor som hör till linjen.',
  ],
  pl: [
    'Poprowadź wzdłuż punktów jedną zamkniętą linię, która nigdzie się nie przecina ani nie styka.',
    'Liczba mówi, ile z czterech boków jej pola należy do linii.',
  ],
  cs: [
    'Veďte podél bodů jednu uzavřenou čáru, která se nikde nekříží ani nedotýká.',
    'Číslo říká, kolik ze čtyř stran jeho pole patří k čáře.',
  ],
  da: [
    'Træk én lukket linje langs prikkerne, som aldrig krydser eller rører sig selv.',
    'Et tal siger, hvor mange af feltets fire sider der hører til linjen.',
  ],
  nb: [
    'Trekk én lukket linje langs prikkene, som aldri krysser eller berører seg selv.',
    'Et tall sier hvor mange av rutens fire sider som hører til linjen.',
  ],
  fi: [
    'Vedä pisteitä pitkin yksi suljettu viiva, joka ei koskaan risteä eikä kosketa itseään.',
    'Luku kertoo, montako ruutunsa neljästä sivusta kuuluu viivaan.',
  ],
  el: [
    'Τραβήξτε κατά μήκος των τελειών μία κλειστή γραμμή, που δεν διασταυρώνεται ούτε αγγίζει ποτέ τον εαυτό της.',
    'Ο αριθμός λέει πόσες από τις τέσσερις πλευρές του τετραγώνου του ανήκουν στη γραμμή.',
  ],
  ru: [
    'Проведите вдоль точек одну замкнутую линию, которая нигде не пересекает и не касается себя.',
    'Число говорит, сколько из четырёх сторон его клетки принадлежит линии.',
  ],
}
