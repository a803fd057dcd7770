import type { Rules } from '../rules'

/** How it is solved. */
export const rules: Rules = {
  en: [
    'Climb from the word at the head to the one at the foot. Each rung is a word, and differs in one letter from the one above.',
    'There is one shortest way, with as many rungs as are drawn.',
  ],
  de: [
    'Steigen Sie vom Wort oben zu dem unten. Jede Sprosse ist ein Wort und unterscheidet sich vom Wort darüber in einem Buchstaben.',
    'Es gibt einen kürzesten Weg mit so vielen Sprossen, wie gezeichnet sind.',
  ],
  fr: [
    'Passez du mot du haut à celui du bas. Chaque échelon est un mot, qui diffère d’une lettre de celui du dessus.',
    'Il y a un chemin le plus court, d’autant d’échelons qu’il en est dessiné.',
  ],
  es: [
    'Vaya de la palabra de arriba a la de abajo. Cada peldaño es una palabra y difiere en una letra de la anterior.',
    'Hay un camino que es el más corto, con tantos peldaños como están dibujados.',
  ],
  it: [
    'Passate dalla parola in alto a quella in basso. Ogni piolo è una parola e differisce per una lettera da quella sopra.',
    'C’è una via più breve, con tanti pioli quanti ne sono disegnati.',
  ],
  pt: [
    'Vá da palavra de cima à de baixo. Cada degrau é uma palavra e difere numa letra da anterior.',
    'Há um caminho mais curto, com tantos degraus quantos estão desenhados.',
  ],
  nl: [
    'Ga van het woord bovenaan naar dat onderaan. Elke sport is een woord en verschilt één letter van het woord erboven.',
    'Er is één kortste weg, met zoveel sporten als er getekend zijn.',
  ],
  sv: [
    'Gå från ordet överst till det nederst. Varje pinne är ett ord och skiljer sig i en bokstav från det ovanför.',
    'Det finns en kortaste väg, med så många pinnar som är ritade.',
  ],
  pl: [
    'Przejdź od wyrazu u góry do wyrazu u dołu. Każdy szczebel to wyraz i różni się jedną literą od tego powyżej.',
    'Jest jedna najkrótsza droga, o tylu szczeblach, ile narysowano.',
  ],
  cs: [
    'Přejděte od slova nahoře ke slovu dole. Každá příčka je slovo a liší se jedním písmenem od toho nad ní.',
    'Je jedna nejkratší cesta s tolika příčkami, kolik je nakresleno.',
  ],
  da: [
    'Gå fra ordet øverst til det nederst. Hvert trin er et ord og adskiller sig i ét bogstav fra det ovenfor.',
    'Der er én korteste vej med så mange trin, som der er tegnet.',
  ],
  nb: [
    'Gå fra ordet øverst til det nederst. Hvert trinn er et ord og skiller seg i én bokstav fra det over.',
    'Det finnes én korteste vei, med så mange trinn som er tegnet.',
  ],
  fi: [
    'Kulje ylimmästä sanasta alimpaan. Jokainen puola on sana ja eroaa yhdellä kirjaimella yläpuolisesta.',
    'Lyhin tie on yksi, ja siinä on niin monta puolaa kuin on piirretty.',
  ],
  el: [
    'Πηγαίνετε από τη λέξη πάνω στη λέξη κάτω. Κάθε σκαλί είναι μια λέξη και διαφέρει σε ένα γράμμα από την από πάνω.',
    'Υπάρχει ένας συντομότερος δρόμος, με τόσα σκαλιά όσα είναι σχεδιασμένα.',
  ],
  ru: [
    'Пройдите от верхнего слова к нижнему. Каждая ступенька — слово, которое отличается от верхнего на одну букву.',
    'Кратчайший путь один, и ступенек в нём столько, сколько нарисовано.',
  ],
}
