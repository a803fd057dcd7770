import type { Rules } from '../rules'

/** How it is solved. */
export const rules: Rules = {
  en: ['Find the way from the gap in the border to the other one, or to the dot. There is one.'],
  de: ['Finden Sie den Weg von der Lücke im Rand zur anderen oder zum Punkt. Es gibt genau einen.'],
  fr: ['Trouvez le chemin de l’ouverture du bord à l’autre, ou au point. Il n’y en a qu’un.'],
  es: ['Encuentre el camino desde la abertura del borde hasta la otra, o hasta el punto. Hay uno solo.'],
  it: ['Trovate la via dall’apertura nel bordo all’altra, o al punto. Ce n’è una sola.'],
  pt: ['Encontre o caminho da abertura na borda até à outra, ou até ao ponto. Há um só.'],
  nl: ['Vind de weg van de opening in de rand naar de andere, of naar de punt. Er is er één.'],
  sv: ['Finn vägen från öppningen i kanten till den andra, eller till punkten. Det finns en.'],
  pl: ['Znajdź drogę od przerwy w brzegu do drugiej albo do punktu. Jest tylko jedna.'],
  cs: ['Najděte cestu od mezery v okraji ke druhé nebo k bodu. Je jen jedna.'],
  da: ['Find vejen fra åbningen i kanten til den anden eller til prikken. Der er én.'],
  nb: ['Finn veien fra åpningen i kanten til den andre, eller til prikken. Det finnes én.'],
  fi: ['Etsi tie reunan aukosta toiseen tai pisteeseen. Teitä on yksi.'],
  el: ['Βρείτε τον δρόμο από το άνοιγμα του περιγράμματος στο άλλο, ή στην τελεία. Υπάρχει ένας.'],
  ru: ['Найдите путь от разрыва в рамке к другому или к точке. Он один.'],
}
