import type { Rules } from '../rules'

/** How it is solved. */
export const rules: Rules = {
  en: [
    'Every word of the list stands once among the letters: along a line, down it or slanting, forwards or backwards.',
    'Mark each word where you find it; letters may belong to two.',
  ],
  de: [
    'Jedes Wort der Liste steht einmal zwischen den Buchstaben: waagerecht, senkrecht oder schräg, vorwärts oder rückwärts.',
    'Markieren Sie jedes Wort, wo Sie es finden; Buchstaben können zu zweien gehören.',
  ],
  fr: [
    'Chaque mot de la liste se trouve une fois parmi les lettres\u00a0: en ligne, en colonne ou en diagonale, à l’endroit ou à l’envers.',
    'Marquez chaque mot là où vous le trouvez\u202f; des lettres peuvent servir à deux.',
  ],
  es: [
    'Cada palabra de la lista está una vez entre las letras: en horizontal, en vertical o en diagonal, al derecho o al revés.',
    'Marque cada palabra donde la encuentre; las letras pueden ser de dos.',
  ],
  it: [
    'Ogni parola della lista sta una volta tra le lettere: in orizzontale, in verticale o in diagonale, in avanti o all’indietro.',
    'Segnate ogni parola dove la trovate; una lettera può servire a due.',
  ],
  pt: [
    'Cada palavra da lista está uma vez entre as letras: na horizontal, na vertical ou na diagonal, para a frente ou para trás.',
    'Marque cada palavra onde a encontrar; as letras podem ser de duas.',
  ],
  nl: [
    'Elk woord van de lijst staat één keer tussen de letters: horizontaal, verticaal of schuin, vooruit of achteruit.',
    'Markeer elk woord waar u het vindt; letters kunnen van twee woorden zijn.',
  ],
  sv: [
    'Varje ord i listan står en gång bland bokstäverna: vågrätt, lodrätt eller snett, framlänges eller baklänges.',
    'Märk varje ord där du finner det; bokstäver kan höra till två.',
  ],
  pl: [
    'Każdy wyraz z listy stoi raz wśród liter: poziomo, pionowo lub na ukos, w przód lub wstecz.',
    'Zaznacz każdy wyraz tam, gdzie go znajdziesz; litery mogą należeć do dwóch.',
  ],
  cs: [
    'Každé slovo seznamu stojí jednou mezi písmeny: vodorovně, svisle nebo šikmo, popředu nebo pozpátku.',
    'Označte každé slovo, kde je najdete; písmena mohou patřit dvěma.',
  ],
  da: [
    'Hvert ord på listen står én gang blandt bogstaverne: vandret, lodret eller skråt, forlæns eller baglæns.',
    'Markér hvert ord, hvor du finder det; bogstaver kan høre til to.',
  ],
  nb: [
    'Hvert ord på listen står én gang blant bokstavene: vannrett, loddrett eller på skrå, forlengs eller baklengs.',
    'Merk hvert ord der du finner det; bokstaver kan høre til to.',
  ],
  fi: [
    'Jokainen luettelon sana on kerran kirjainten joukossa: vaakaan, pystyyn tai vinoon, etu- tai takaperin.',
    'Merkitse jokainen sana löytöpaikkaansa; kirjain voi kuulua kahteen.',
  ],
  el: [
    'Κάθε λέξη του καταλόγου στέκει μία φορά ανάμεσα στα γράμματα: οριζόντια, κάθετα ή λοξά, προς τα εμπρός ή ανάποδα.',
    'Σημειώστε κάθε λέξη όπου τη βρίσκετε· ένα γράμμα μπορεί να ανήκει σε δύο.',
  ],
  ru: [
    'Каждое слово списка стоит один раз среди букв: по горизонтали, по вертикали или наискось, вперёд или назад.',
    'Отметьте каждое слово там, где найдёте; буквы могут принадлежать двум.',
  ],
}
