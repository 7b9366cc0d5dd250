// What designers call the parts of a page, in sixteen languages. Common practice in the trade; no published list. A name counts
// only as a whole: every word of it must stand here, so that a border at the bottom or a card's header says nothing.

/** What a word in an id, a class or a custom element's name says. */
export type Sense =
  | 'header'
  | 'footer'
  | 'sidebar'
  | 'main'
  /** A menu: of the header, unless something else is said of it. */
  | 'menu'
  /** A column, and at which side. */
  | 'column'
  | 'edge'
  | 'centre'
  /** The page's own header is often its title's, amid the content. */
  | 'page'
  /** What themes call the small boxes of a column, and a place for several. */
  | 'boxes'
  | 'area'
  /** A piece of the content: its header and footer are its own. */
  | 'piece'
  /** Says nothing of a place. */
  | 'neutral'
  /** The whole name says nothing of a place. */
  | 'voids'

const said: Record<Sense, string> = {
  header: `header head masthead banner topbar top hdr
    kopf kopfzeile kopfbereich seitenkopf oben entete haut cabecera encabezado testata intestazione cabecalho topo
    kop koptekst kopregel sidhuvud huvud sidehoved hoved toppen naglowek gora hlavicka zahlavi ustbilgi baslik ust
    ylatunniste κεφαλιδα επικεφαλιδα κορυφη шапка верх хедер ヘッダー ヘッダ 頭部`,
  footer: `footer foot colophon bottom ftr
    fuss fusszeile fussbereich seitenfuss unten pied piedpage bas pie piedipagina piedepagina rodape
    voet voettekst voetregel voetbalk sidfot fot botten sidefod fod bund stopka dol paticka zapati altbilgi alt
    alatunniste υποσελιδο підвал футер низ フッター フッタ 脚部`,
  sidebar: `sidebar sidebars secondary side aside rail sidenav sidemenu sidepanel sidecol
    seitenleiste seitenspalte randspalte marginalspalte seitenmenu barrelaterale laterale lateral barralateral barralaterale
    zijbalk zijkolom zijkant zijmenu sidofalt sidokolumn sidopanel sidomeny sidebjaelke sidepanel
    boczny boczna bocznypasek pasekboczny panelboczny postranni postrannipanel bocni kenarcubugu kenar yan yanmenu yanpanel
    sivupalkki sivupaneeli πλαινη πλευρικη πλευρα бічна бічний бокова сайдбар サイドバー サイド 側面`,
  main: `main content contents primary body story
    inhalt hauptinhalt haupt contenu principal contenido principale contenuto corpo conteudo
    inhoud hoofdinhoud innehall huvudinnehall indhold hovedindhold tresc zawartosc glowna glowny obsah hlavni
    icerik ana sisalto περιεχομενο περιεχομενα κυριο κυριως вміст зміст контент основний основна 本文 コンテンツ メイン 記事`,
  menu: `nav navbar navi navigation menu menubar mainnav
    navegacion navegacao navigazione navigatie navigering navigace nabidka nawigacja gezinme navigaatio valikko πλοηγηση μενου навігація меню
    ナビ ナビゲーション メニュー`,
  column: `column columns col cols colonne colonna columna coluna spalte kolom kolumn kolonne kolumna szpalta sloupec sutun palsta
    στηλη колонка стовпець カラム 列`,
  edge: `left right links rechts gauche droite droit izquierda derecha sinistra destra esquerda direita vanster hoger venstre hojre
    lewa prawa lewy prawy leva prava levy pravy sol sag vasen oikea αριστερα δεξια ліва права лівий правий 左 右`,
  centre: `center centre middle mitte milieu centro centrale midden mitten midt srodek stred orta keski κεντρο центр 中央`,
  page: `page seite pagina strona stranka sayfa sivu σελιδα сторінка ページ`,
  neutral: `site doc docs document web blog shop home landing wrap wrapper inner outer container section block region box holder layout panel pane frame bar
    blocks module modules group groups sections global app theme the my l c o u row part first second third one two three
    bereich sida περιοχη блок`,
  boxes: `widget widgets gadget gadgets`,
  area: `area areas zone zones エリア`,
  piece: `entry post article`,
  voids: `no without has with hide show off card comment comments modal dialog table item list mobile toggle`,
}

const longest = 24

/** Sense of each word, its letters without marks. */
export const senses = new Map<string, Sense>(
  (Object.entries(said) as [Sense, string][]).flatMap(([sense, words]) =>
    words
      .split(/\s+/)
      .filter(Boolean)
      .map((word): [string, Sense] => [plain(word), sense]),
  ),
)

/** Small letters without marks, so that Ü, ü and u are one. */
export function plain(text: string): string {
  return text
    .normalize('NFKD')
    .replace(/[\u0300-\u036f]/g, '')
    .replace(/ß/g, 'ss')
    .replace(/ł/gi, 'l')
    .replace(/ø/gi, 'o')
    .replace(/æ/gi, 'ae')
    .replace(/ı/g, 'i')
    .toLowerCase()
    .normalize('NFC')
}

/** Cuts a word that was written together into known ones, the longest first; null where something is left over. */
export function cutUp(word: string): string[] | null {
  if (senses.has(word) || /^\d+$/.test(word)) return [word]
  for (let length = Math.min(word.length - 1, longest); length >= 2; length--) {
    const first = word.slice(0, length)
    if (!senses.has(first)) continue
    const rest = cutUp(word.slice(length))
    if (rest) return [first, ...rest]
  }
  return null
}
