import type { Rules } from '../rules'

/** How it is solved. */
export const rules: Rules = {
  en: [
    'A number says how many of the cells around it hold a mine, at corners too.',
    'Find all the mines: reasoning leads to each, and no guess is needed.',
  ],
  de: [
    'Eine Zahl sagt, in wie vielen der Felder um sie herum eine Mine liegt, auch über Eck.',
    'Finden Sie alle Minen: Jede lässt sich erschließen, geraten werden muss nie.',
  ],
  fr: [
    'Un nombre dit combien de cases autour de lui cachent une mine, coins compris.',
    'Trouvez toutes les mines\u00a0: le raisonnement mène à chacune, sans jamais deviner.',
  ],
  es: [
    'Un número dice cuántas de las casillas que lo rodean tienen una mina, también en las esquinas.',
    'Encuentre todas las minas: el razonamiento lleva a cada una, sin adivinar.',
  ],
  it: [
    'Un numero dice quante delle caselle intorno nascondono una mina, anche agli angoli.',
    'Trovate tutte le mine: a ciascuna si arriva ragionando, senza indovinare.',
  ],
  pt: [
    'Um número diz quantas das casas à sua volta têm uma mina, também nos cantos.',
    'Encontre todas as minas: o raciocínio leva a cada uma, sem adivinhar.',
  ],
  nl: [
    'Een getal zegt in hoeveel van de vakjes eromheen een mijn ligt, ook schuin.',
    'Vind alle mijnen: redeneren leidt tot elk ervan, gokken is niet nodig.',
  ],
  sv: [
    'Ett tal säger hur många av rutorna omkring som har en mina, även snett.',
    'Finn alla minor: resonemang leder till var och en, och man behöver inte gissa.',
  ],
  pl: [
    'Liczba mówi, w ilu polach wokół niej jest mina, także po skosie.',
    'Znajdź wszystkie miny: do każdej prowadzi rozumowanie, zgadywać nie trzeba.',
  ],
  cs: [
    'Číslo říká, v kolika polích kolem něj je mina, i přes roh.',
    'Najděte všechny miny: ke každé vede úvaha, hádat není třeba.',
  ],
  da: [
    'Et tal siger, hvor mange af felterne omkring det der har en mine, også skråt.',
    'Find alle minerne: tænkning fører til hver af dem, og man behøver ikke gætte.',
  ],
  nb: [
    'Et tall sier hvor mange av rutene rundt som har en mine, også på skrå.',
    'Finn alle minene: resonnement fører til hver av dem, og man trenger ikke gjette.',
  ],
  fi: [
    'Luku kertoo, monessako ympäröivässä ruudussa on miina, myös kulmittain.',
    'Etsi kaikki miinat: päättely johtaa jokaiseen, eikä arvata tarvitse.',
  ],
  el: [
    'Ο αριθμός λέει πόσα από τα τετράγωνα γύρω του έχουν νάρκη, και στις γωνίες.',
    'Βρείτε όλες τις νάρκες: ο συλλογισμός οδηγεί σε καθεμία, χωρίς μαντεψιά.',
  ],
  ru: [
    'Число говорит, в скольких клетках вокруг него есть мина, в том числе по углам.',
    'Найдите все мины: к каждой ведёт рассуждение, угадывать не нужно.',
  ],
}
