import type { Rules } from '../rules'

/** How it is solved. */
export const rules: Rules = {
  en: [
    'Shade every square with the tone that its number has in the key.',
    'A soft pencil does it: press harder for the darker ones.',
  ],
  de: [
    'Tönen Sie jedes Kästchen so, wie es seine Zahl im Schlüssel sagt.',
    'Ein weicher Bleistift genügt: Drücken Sie bei den dunkleren fester auf.',
  ],
  fr: [
    'Ombrez chaque carré du ton que son nombre a dans la clé.',
    'Un crayon tendre suffit\u00a0: appuyez plus fort pour les plus foncés.',
  ],
  es: [
    'Sombree cada cuadro con el tono que su número tiene en la clave.',
    'Basta un lápiz blando: apriete más para los oscuros.',
  ],
  it: [
    'Ombreggiate ogni quadretto con il tono che il suo numero ha nella chiave.',
    'Basta una matita morbida: premete di più per i più scuri.',
  ],
  pt: [
    'Sombreie cada quadrado com o tom que o seu número tem na chave.',
    'Basta um lápis macio: carregue mais para os mais escuros.',
  ],
  nl: [
    'Arceer elk vierkantje in de tint die zijn getal in de sleutel heeft.',
    'Een zacht potlood volstaat: druk harder voor de donkere.',
  ],
  sv: [
    'Skugga varje ruta i den ton som dess tal har i nyckeln.',
    'En mjuk penna räcker: tryck hårdare för de mörkare.',
  ],
  pl: [
    'Zacieniuj każdą kratkę tonem, który jej liczba ma w kluczu.',
    'Wystarczy miękki ołówek: przy ciemniejszych przyciskaj mocniej.',
  ],
  cs: ['Vystínujte každý čtverec tónem, který má jeho číslo v klíči.', 'Stačí měkká tužka: u tmavších přitlačte víc.'],
  da: [
    'Skravér hver firkant i den tone, som dens tal har i nøglen.',
    'En blød blyant er nok: tryk hårdere ved de mørkere.',
  ],
  nb: [
    'Skraver hver rute i den tonen som tallet har i nøkkelen.',
    'En myk blyant er nok: trykk hardere for de mørkere.',
  ],
  fi: [
    'Varjosta jokainen ruutu sävyllä, joka sen luvulla on avaimessa.',
    'Pehmeä kynä riittää: paina tummempia kovemmin.',
  ],
  el: [
    'Σκιάστε κάθε τετράγωνο με τον τόνο που έχει ο αριθμός του στο κλειδί.',
    'Αρκεί ένα μαλακό μολύβι: πιέστε περισσότερο για τα σκούρα.',
  ],
  ru: [
    'Заштрихуйте каждый квадрат тоном, который его число имеет в ключе.',
    'Хватит мягкого карандаша: на тёмных нажимайте сильнее.',
  ],
}
