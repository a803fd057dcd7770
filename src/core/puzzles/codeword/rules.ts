import type { Rules } from '../rules'

/** How it is solved. */
export const rules: Rules = {
  en: [
    'Every number is a letter, the same one wherever it stands. No two numbers are the same letter.',
    'Begin with the letters that are given, and write each letter that you find under its number in the key.',
  ],
  de: [
    'Jede Zahl steht für einen Buchstaben, überall für denselben. Keine zwei Zahlen stehen für denselben Buchstaben.',
    'Beginnen Sie mit den vorgegebenen Buchstaben, und schreiben Sie jeden gefundenen unter seine Zahl im Schlüssel.',
  ],
  fr: [
    'Chaque nombre est une lettre, partout la même. Deux nombres ne sont jamais la même lettre.',
    'Commencez par les lettres données, et inscrivez chaque lettre trouvée sous son nombre dans la clé.',
  ],
  es: [
    'Cada número es una letra, la misma en todas partes. No hay dos números que sean la misma letra.',
    'Empiece por las letras dadas y escriba cada letra que encuentre bajo su número en la clave.',
  ],
  it: [
    'Ogni numero è una lettera, ovunque la stessa. Due numeri non sono mai la stessa lettera.',
    'Cominciate dalle lettere date, e scrivete ogni lettera trovata sotto il suo numero nella chiave.',
  ],
  pt: [
    'Cada número é uma letra, a mesma em toda parte. Não há dois números que sejam a mesma letra.',
    'Comece pelas letras dadas e escreva cada letra que encontrar sob o seu número na chave.',
  ],
  nl: [
    'Elk getal is een letter, overal dezelfde. Geen twee getallen zijn dezelfde letter.',
    'Begin met de gegeven letters, en schrijf elke letter die u vindt onder zijn getal in de sleutel.',
  ],
  sv: [
    'Varje tal är en bokstav, överallt densamma. Inga två tal är samma bokstav.',
    'Börja med de givna bokstäverna, och skriv varje bokstav du finner under sitt tal i nyckeln.',
  ],
  pl: [
    'Każda liczba to litera, wszędzie ta sama. Żadne dwie liczby nie są tą samą literą.',
    'Zacznij od podanych liter i wpisuj każdą znalezioną literę pod jej liczbą w kluczu.',
  ],
  cs: [
    'Každé číslo je písmeno, všude stejné. Žádná dvě čísla nejsou stejné písmeno.',
    'Začněte danými písmeny a každé nalezené písmeno zapište pod jeho číslo v klíči.',
  ],
  da: [
    'Hvert tal er et bogstav, overalt det samme. Ikke to tal er samme bogstav.',
    'Begynd med de givne bogstaver, og skriv hvert bogstav, du finder, under dets tal i nøglen.',
  ],
  nb: [
    'Hvert tall er en bokstav, overalt den samme. Ingen to tall er samme bokstav.',
    'Begynn med bokstavene som er gitt, og skriv hver bokstav du finner under tallet i nøkkelen.',
  ],
  fi: [
    'Jokainen luku on kirjain, kaikkialla sama. Kaksi lukua ei ole koskaan sama kirjain.',
    'Aloita annetuista kirjaimista, ja kirjoita jokainen löytämäsi kirjain lukunsa alle avaimeen.',
  ],
  el: [
    'Κάθε αριθμός είναι ένα γράμμα, παντού το ίδιο. Δύο αριθμοί δεν είναι ποτέ το ίδιο γράμμα.',
    'Αρχίστε από τα γράμματα που δίνονται, και γράψτε κάθε γράμμα που βρίσκετε κάτω από τον αριθμό του στο κλειδί.',
  ],
  ru: [
    'Каждое число — буква, везде одна и та же. Никакие два числа не значат одну букву.',
    'Начните с данных букв и вписывайте каждую найденную букву под её числом в ключе.',
  ],
}
