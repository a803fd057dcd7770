import type { Rules } from '../rules'

/** How it is solved. */
export const rules: Rules = {
  en: [
    'Every number of the list stands once among the figures: along a line, down it or slanting, forwards or backwards.',
    'Mark each number where you find it.',
  ],
  de: [
    'Jede Zahl der Liste steht einmal zwischen den Ziffern: waagerecht, senkrecht oder schräg, vorwärts oder rückwärts.',
    'Markieren Sie jede Zahl, wo Sie sie finden.',
  ],
  fr: [
    'Chaque nombre de la liste se trouve une fois parmi les chiffres\u00a0: en ligne, en colonne ou en diagonale, à l’endroit ou à l’envers.',
    'Marquez chaque nombre là où vous le trouvez.',
  ],
  es: [
    'Cada número de la lista está una vez entre las cifras: en horizontal, en vertical o en diagonal, al derecho o al revés.',
    'Marque cada número donde lo encuentre.',
  ],
  it: [
    'Ogni numero della lista sta una volta tra le cifre: in orizzontale, in verticale o in diagonale, in avanti o all’indietro.',
    'Segnate ogni numero dove lo trovate.',
  ],
  pt: [
    'Cada número da lista está uma vez entre os algarismos: na horizontal, na vertical ou na diagonal, para a frente ou para trás.',
    'Marque cada número onde o encontrar.',
  ],
  nl: [
    'Elk getal van de lijst staat één keer tussen de cijfers: horizontaal, verticaal of schuin, vooruit of achteruit.',
    'Markeer elk getal waar u het vindt.',
  ],
  sv: [
    'Varje tal i listan står en gång bland siffrorna: vågrätt, lodrätt eller snett, framlänges eller baklänges.',
    'Märk varje tal där du finner det.',
  ],
  pl: [
    'Każda liczba z listy stoi raz wśród cyfr: poziomo, pionowo lub na ukos, w przód lub wstecz.',
    'Zaznacz każdą liczbę tam, gdzie ją znajdziesz.',
  ],
  cs: [
    'Každé číslo seznamu stojí jednou mezi číslicemi: vodorovně, svisle nebo šikmo, popředu nebo pozpátku.',
    'Označte každé číslo, kde je najdete.',
  ],
  da: [
    'Hvert tal på listen står én gang blandt cifrene: vandret, lodret eller skråt, forlæns eller baglæns.',
    'Markér hvert tal, hvor du finder det.',
  ],
  nb: [
    'Hvert tall på listen står én gang blant sifrene: vannrett, loddrett eller på skrå, forlengs eller baklengs.',
    'Merk hvert tall der du finner det.',
  ],
  fi: [
    'Jokainen luettelon luku on kerran numeroiden joukossa: vaakaan, pystyyn tai vinoon, etu- tai takaperin.',
    'Merkitse jokainen luku löytöpaikkaansa.',
  ],
  el: [
    'Κάθε αριθμός του καταλόγου στέκει μία φορά ανάμεσα στα ψηφία: οριζόντια, κάθετα ή λοξά, προς τα εμπρός ή ανάποδα.',
    'Σημειώστε κάθε αριθμό όπου τον βρίσκετε.',
  ],
  ru: [
    'Каждое число списка стоит один раз среди цифр: по горизонтали, по вертикали или наискось, вперёд или назад.',
    'Отметьте каждое число там, где найдёте.',
  ],
}
