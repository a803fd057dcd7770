import type { Rules } from '../rules'

/** How it is solved. */
export const rules: Rules = {
  en: [
    'Each clue has one answer, written a letter a cell from the cell with its number, across or down.',
    'The figure behind a clue is the length of its answer. Where words cross they share a letter.',
  ],
  de: [
    'Zu jeder Frage gehört eine Antwort; sie beginnt im Feld mit ihrer Nummer, waagerecht oder senkrecht, ein Buchstabe je Feld.',
    'Die Zahl hinter einer Frage ist die Länge der Antwort. Wo sich Wörter kreuzen, teilen sie einen Buchstaben.',
  ],
  fr: [
    'Chaque définition a une réponse, inscrite une lettre par case à partir de la case qui porte son numéro, horizontalement ou verticalement.',
    'Le chiffre derrière une définition est la longueur de la réponse. Là où des mots se croisent, ils partagent une lettre.',
  ],
  es: [
    'Cada definición tiene una respuesta, escrita una letra por casilla desde la casilla con su número, en horizontal o en vertical.',
    'La cifra detrás de una definición es la longitud de la respuesta. Donde las palabras se cruzan comparten una letra.',
  ],
  it: [
    'Ogni definizione ha una risposta, scritta una lettera per casella a partire dalla casella con il suo numero, in orizzontale o in verticale.',
    'La cifra dietro una definizione è la lunghezza della risposta. Dove le parole si incrociano hanno una lettera in comune.',
  ],
  pt: [
    'Cada pista tem uma resposta, escrita uma letra por casa a partir da casa com o seu número, na horizontal ou na vertical.',
    'O algarismo depois de uma pista é o comprimento da resposta. Onde as palavras se cruzam, partilham uma letra.',
  ],
  nl: [
    'Elke omschrijving heeft één antwoord, een letter per vakje vanaf het vakje met het nummer, horizontaal of verticaal.',
    'Het cijfer achter een omschrijving is de lengte van het antwoord. Waar woorden kruisen, delen ze een letter.',
  ],
  sv: [
    'Varje ledtråd har ett svar, skrivet med en bokstav per ruta från rutan med dess nummer, vågrätt eller lodrätt.',
    'Siffran efter en ledtråd är svarets längd. Där ord korsas delar de en bokstav.',
  ],
  pl: [
    'Każde hasło ma jedną odpowiedź, wpisaną po literze w polu, począwszy od pola z jego numerem, poziomo lub pionowo.',
    'Cyfra za hasłem to długość odpowiedzi. Gdzie wyrazy się krzyżują, mają wspólną literę.',
  ],
  cs: [
    'Každá nápověda má jednu odpověď, psanou po písmenu v poli od pole s jejím číslem, vodorovně nebo svisle.',
    'Číslice za nápovědou je délka odpovědi. Kde se slova kříží, mají společné písmeno.',
  ],
  da: [
    'Hver ledetråd har ét svar, skrevet med et bogstav i hvert felt fra feltet med dens nummer, vandret eller lodret.',
    'Cifferet efter en ledetråd er svarets længde. Hvor ord krydser, deler de et bogstav.',
  ],
  nb: [
    'Hver ledetråd har ett svar, skrevet med én bokstav i hver rute fra ruten med nummeret, vannrett eller loddrett.',
    'Sifferet bak en ledetråd er lengden på svaret. Der ord krysser, deler de en bokstav.',
  ],
  fi: [
    'Jokaisella vihjeellä on yksi vastaus, kirjain ruutuunsa vihjeen numeron ruudusta alkaen, vaakaan tai pystyyn.',
    'Vihjeen perässä oleva luku on vastauksen pituus. Missä sanat risteävät, niillä on yhteinen kirjain.',
  ],
  el: [
    'Κάθε ορισμός έχει μία απάντηση, ένα γράμμα ανά τετράγωνο από το τετράγωνο με τον αριθμό του, οριζόντια ή κάθετα.',
    'Το ψηφίο μετά τον ορισμό είναι το μήκος της απάντησης. Όπου οι λέξεις διασταυρώνονται, μοιράζονται ένα γράμμα.',
  ],
  ru: [
    'У каждого определения один ответ; он пишется по букве в клетке, начиная с клетки с его номером, по горизонтали или по вертикали.',
    'Цифра после определения — длина ответа. Где слова пересекаются, у них общая буква.',
  ],
}
