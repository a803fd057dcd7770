import type { Rules } from '../rules'

/** How it is solved. */
export const rules: Rules = {
  en: [
    'The numbers of a row or column are the lengths of its filled stretches in order, with one empty cell or more between them.',
    'Fill what must be filled, mark what must stay empty, and a picture stands.',
  ],
  de: [
    'Die Zahlen einer Zeile oder Spalte sind die Längen ihrer gefüllten Abschnitte der Reihe nach, mit mindestens einem leeren Feld dazwischen.',
    'Füllen Sie, was gefüllt sein muss, bezeichnen Sie, was leer bleiben muss, und ein Bild entsteht.',
  ],
  fr: [
    'Les nombres d’une ligne ou d’une colonne sont les longueurs de ses suites remplies, dans l’ordre, séparées par une case vide ou davantage.',
    'Remplissez ce qui doit l’être, marquez ce qui doit rester vide, et une image apparaît.',
  ],
  es: [
    'Los números de una fila o columna son las longitudes de sus tramos llenos, por orden, con una casilla vacía o más entre ellos.',
    'Llene lo que ha de llenarse, marque lo que ha de quedar vacío, y aparece una imagen.',
  ],
  it: [
    'I numeri di una riga o colonna sono le lunghezze dei suoi tratti pieni, in ordine, con una o più caselle vuote tra loro.',
    'Riempite ciò che va riempito, segnate ciò che deve restare vuoto, e appare una figura.',
  ],
  pt: [
    'Os números de uma linha ou coluna são os comprimentos dos seus troços cheios, por ordem, com uma ou mais casas vazias entre eles.',
    'Encha o que tem de ser cheio, marque o que tem de ficar vazio, e surge uma imagem.',
  ],
  nl: [
    'De getallen van een rij of kolom zijn de lengten van de gevulde stukken op volgorde, met een of meer lege vakjes ertussen.',
    'Vul wat gevuld moet worden, merk wat leeg moet blijven, en er ontstaat een beeld.',
  ],
  sv: [
    'Talen för en rad eller kolumn är längderna på dess fyllda sträckor i ordning, med en eller flera tomma rutor emellan.',
    'Fyll det som måste fyllas, märk det som måste vara tomt, och en bild framträder.',
  ],
  pl: [
    'Liczby wiersza lub kolumny to kolejne długości zapełnionych odcinków, między którymi jest co najmniej jedno puste pole.',
    'Zapełnij, co musi być pełne, zaznacz, co musi zostać puste, a powstanie obraz.',
  ],
  cs: [
    'Čísla řádku či sloupce jsou délky jeho vyplněných úseků v pořadí, mezi nimiž je aspoň jedno prázdné pole.',
    'Vyplňte, co musí být plné, označte, co musí zůstat prázdné, a objeví se obraz.',
  ],
  da: [
    'Tallene for en række eller kolonne er længderne af dens fyldte stykker i rækkefølge, med et eller flere tomme felter imellem.',
    'Fyld det, der skal fyldes, markér det, der skal være tomt, og et billede træder frem.',
  ],
  nb: [
    'Tallene for en rad eller kolonne er lengdene på de fylte strekningene i rekkefølge, med én eller flere tomme ruter imellom.',
    'Fyll det som må fylles, merk det som må være tomt, og et bilde trer fram.',
  ],
  fi: [
    'Rivin tai sarakkeen luvut ovat sen täytettyjen jaksojen pituudet järjestyksessä, välissään vähintään yksi tyhjä ruutu.',
    'Täytä mikä on täytettävä, merkitse minkä on jäätävä tyhjäksi, ja kuva tulee esiin.',
  ],
  el: [
    'Οι αριθμοί μιας γραμμής ή στήλης είναι τα μήκη των γεμάτων τμημάτων της με τη σειρά, με ένα ή περισσότερα κενά ανάμεσα.',
    'Γεμίστε ό,τι πρέπει να γεμίσει, σημειώστε ό,τι πρέπει να μείνει κενό, και φαίνεται μια εικόνα.',
  ],
  ru: [
    'Числа строки или столбца — длины заполненных отрезков по порядку; между ними хотя бы одна пустая клетка.',
    'Заполните то, что должно быть полным, отметьте то, что останется пустым, и появится картинка.',
  ],
}
