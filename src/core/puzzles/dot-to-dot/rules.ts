import type { Rules } from '../rules'

/** How it is solved. */
export const rules: Rules = {
  en: ['Draw a line from dot to dot in the order of their numbers, and from the last one back to the first.'],
  de: ['Ziehen Sie eine Linie von Punkt zu Punkt in der Reihenfolge der Zahlen und vom letzten zurück zum ersten.'],
  fr: ['Tracez une ligne de point en point dans l’ordre des nombres, puis du dernier au premier.'],
  es: ['Trace una línea de punto en punto por el orden de los números, y del último de vuelta al primero.'],
  it: ['Tracciate una linea da punto a punto nell’ordine dei numeri, e dall’ultimo di nuovo al primo.'],
  pt: ['Trace uma linha de ponto em ponto pela ordem dos números, e do último de volta ao primeiro.'],
  nl: ['Trek een lijn van punt naar punt in de volgorde van de getallen, en van het laatste terug naar het eerste.'],
  sv: ['Dra en linje från punkt till punkt i talens ordning, och från den sista tillbaka till den första.'],
  pl: ['Poprowadź linię od punktu do punktu w kolejności liczb, a od ostatniego z powrotem do pierwszego.'],
  cs: ['Veďte čáru od bodu k bodu v pořadí čísel a od posledního zpět k prvnímu.'],
  da: ['Træk en linje fra prik til prik i tallenes rækkefølge og fra den sidste tilbage til den første.'],
  nb: ['Trekk en linje fra prikk til prikk i tallenes rekkefølge, og fra den siste tilbake til den første.'],
  fi: ['Vedä viiva pisteestä pisteeseen lukujen järjestyksessä, ja viimeisestä takaisin ensimmäiseen.'],
  el: ['Τραβήξτε μια γραμμή από τελεία σε τελεία με τη σειρά των αριθμών, και από την τελευταία πίσω στην πρώτη.'],
  ru: ['Ведите линию от точки к точке в порядке чисел, а от последней назад к первой.'],
}
