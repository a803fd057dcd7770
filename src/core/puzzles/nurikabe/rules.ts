import type { Rules } from '../rules'

/** How it is solved. */
export const rules: Rules = {
  en: [
    'Shade cells to be the sea; what stays white are islands. Each island has one number, and as many cells.',
    'Islands touch only at corners; the sea hangs together, and nowhere fills a square of four cells.',
  ],
  de: [
    'Schraffieren Sie Felder als Meer; was weiß bleibt, sind Inseln. Jede Insel hat eine Zahl und so viele Felder.',
    'Inseln berühren sich nur an Ecken; das Meer hängt zusammen und füllt nirgends ein Quadrat von vier Feldern.',
  ],
  fr: [
    'Noircissez des cases pour faire la mer\u202f; ce qui reste blanc, ce sont les îles. Chaque île a un seul nombre, et autant de cases.',
    'Les îles ne se touchent que par les coins\u202f; la mer est d’un seul tenant et ne remplit nulle part un carré de quatre cases.',
  ],
  es: [
    'Sombree casillas para hacer el mar; lo que queda blanco son islas. Cada isla tiene un número, y otras tantas casillas.',
    'Las islas solo se tocan por las esquinas; el mar está unido y en ninguna parte llena un cuadrado de cuatro casillas.',
  ],
  it: [
    'Annerite caselle per fare il mare; ciò che resta bianco sono isole. Ogni isola ha un numero, e altrettante caselle.',
    'Le isole si toccano solo agli angoli; il mare è tutto unito e non riempie mai un quadrato di quattro caselle.',
  ],
  pt: [
    'Sombreie casas para fazer o mar; o que fica branco são ilhas. Cada ilha tem um número, e outras tantas casas.',
    'As ilhas só se tocam pelos cantos; o mar está todo ligado e em parte nenhuma enche um quadrado de quatro casas.',
  ],
  nl: [
    'Arceer vakjes als zee; wat wit blijft zijn eilanden. Elk eiland heeft één getal, en zoveel vakjes.',
    'Eilanden raken elkaar alleen aan hoeken; de zee hangt samen en vult nergens een vierkant van vier vakjes.',
  ],
  sv: [
    'Skugga rutor till hav; det som förblir vitt är öar. Varje ö har ett tal, och lika många rutor.',
    'Öar möts bara i hörn; havet hänger ihop och fyller ingenstans en kvadrat av fyra rutor.',
  ],
  pl: [
    'Zacieniuj pola jako morze; co zostaje białe, to wyspy. Każda wyspa ma jedną liczbę i tyle pól.',
    'Wyspy stykają się tylko rogami; morze jest spójne i nigdzie nie wypełnia kwadratu z czterech pól.',
  ],
  cs: [
    'Vystínujte pole jako moře; co zůstane bílé, jsou ostrovy. Každý ostrov má jedno číslo a tolik polí.',
    'Ostrovy se dotýkají jen rohy; moře je souvislé a nikde nevyplní čtverec ze čtyř polí.',
  ],
  da: [
    'Skravér felter som hav; det, der forbliver hvidt, er øer. Hver ø har ét tal og lige så mange felter.',
    'Øer mødes kun i hjørner; havet hænger sammen og fylder ingen steder et kvadrat af fire felter.',
  ],
  nb: [
    'Skraver ruter som hav; det som forblir hvitt, er øyer. Hver øy har ett tall og like mange ruter.',
    'Øyer møtes bare i hjørner; havet henger sammen og fyller ingen steder et kvadrat av fire ruter.',
  ],
  fi: [
    'Varjosta ruutuja mereksi; valkoisiksi jäävät ovat saaria. Jokaisella saarella on yksi luku ja yhtä monta ruutua.',
    'Saaret koskettavat toisiaan vain kulmista; meri on yhtenäinen eikä täytä missään neljän ruudun neliötä.',
  ],
  el: [
    'Σκιάστε τετράγωνα για θάλασσα· ό,τι μένει λευκό είναι νησιά. Κάθε νησί έχει έναν αριθμό, και τόσα τετράγωνα.',
    'Τα νησιά αγγίζονται μόνο στις γωνίες· η θάλασσα είναι ενιαία και πουθενά δεν γεμίζει ένα τετράγωνο από τέσσερα.',
  ],
  ru: [
    'Заштрихуйте клетки моря; белые — острова. У каждого острова одно число и столько же клеток.',
    'Острова касаются только углами; море связно и нигде не заполняет квадрат из четырёх клеток.',
  ],
}
