// Pages that answer with 200 and are not the page: what they say of themselves, in sixteen languages. Common practice in the
// trade; no published list. Each is looked for in a page's title and its first headings, never in its text.

/** What a page is that stands where another should. */
export type StandIn = 'sign-in' | 'not-found' | 'question' | 'closed'

/** Patterns of a title or heading, one a line and language. */
export const titles: Record<StandIn, RegExp> = {
  'sign-in': any(
    'log ?in|sign ?in|member login|password protected|protected:|enter (?:the|your) password|authori[sz]ation required|restricted access',
    'anmelden|anmeldung|einloggen|geschützt:|passwortgeschützt',
    'connexion|se connecter|identifiez-vous|protégé ?:|mot de passe',
    'iniciar sesión|inicio de sesión|acceder|protegido:|contraseña',
    'accedi|accesso|protetto:',
    'iniciar sessão|entrar|protegido:|palavra-passe|senha',
    'inloggen|aanmelden|beveiligd:',
    'logga in|inloggning|skyddad:',
    'log ind|beskyttet:',
    'logg inn|kirjaudu|suojattu:',
    'zaloguj|logowanie|zabezpieczon[ey]:',
    'přihlášení|přihlásit|chráněno:',
    'giriş yap|oturum aç|korumalı:',
    'σύνδεση|είσοδος|προστατευμένο:',
    'увійти|вхід|захищено:',
    'ログイン|サインイン|保護中',
  ),
  'not-found': any(
    "404|(?:page|file|content|document) (?:could )?(?:can)?(?:not|n’t|n't) (?:be )?found|not found|page (?:does not|doesn’t|doesn't) exist|nothing (?:was )?found|page is missing|no longer available|can(?:’|')?t find (?:that|the|this) page|oops",
    'nicht gefunden|seite existiert nicht|nicht vorhanden',
    "introuvable|page non trouvée|n’existe pas|n'existe pas",
    'no encontrad[ao]|no existe|no se (?:ha )?enc(?:ontró|uentra)',
    'non trovat[ao]|non esiste',
    'não encontrad[ao]|não existe',
    'niet gevonden|bestaat niet',
    'hittades inte|kunde inte hittas|finns inte|hittar inte',
    'ikke fundet|findes ikke|ikke funnet',
    'ei löytynyt|ei löydy',
    'nie znaleziono|nie istnieje|nie została znaleziona',
    'nenalezena|nenalezen[ao]?|neexistuje',
    'bulunamadı|mevcut değil',
    'δεν βρέθηκε|δεν υπάρχει',
    'не знайдено|не існує',
    '見つかりません|存在しません|お探しのページ',
  ),
  question: any(
    'just a moment|checking your browser|are you (?:a )?(?:human|robot)|verify(?:ing)? (?:that )?you are (?:a )?human|human verification|security check|attention required|one more step|please wait|access denied|pardon our interruption|bot (?:check|protection)|confirm you are not a robot|ddos',
    'sicherheitsprüfung|sicherheitsüberprüfung|sind sie ein mensch|einen moment|browser wird überprüft',
    'vérification de sécurité|êtes-vous un (?:humain|robot)|un instant|vérification (?:de votre navigateur|humaine)',
    'verificación de seguridad|un momento|eres humano|comprobando (?:su|tu) navegador|no soy un robot',
    'controllo di sicurezza|un attimo|sei umano|verifica del browser|verifica di sicurezza',
    'verificação de segurança|um momento|verificando (?:o )?seu navegador',
    'beveiligingscontrole|een ogenblik|ben je een mens|bent u een mens|even geduld',
    'säkerhetskontroll|ett ögonblick|är du (?:en )?människa',
    'sikkerhedskontrol|et øjeblik|er du et menneske',
    'turvatarkistus|hetkinen',
    'sprawdzanie (?:bezpieczeństwa|przeglądarki)|weryfikacja|chwileczkę|jeszcze chwila',
    'bezpečnostní kontrola|okamžik|ověření prohlížeče|ověřujeme',
    'güvenlik (?:kontrolü|doğrulaması)|bir dakika|robot olmadığınızı|insan olduğunuzu',
    'έλεγχος ασφαλείας|μια στιγμή|είστε άνθρωπος',
    'перевірка (?:безпеки|браузера)|зачекайте|ви людина|хвилинку',
    'セキュリティ(?:チェック|確認)|少々お待ちください|ロボットではありません|ブラウザを確認',
  ),
  closed: any(
    "coming soon|under construction|under maintenance|maintenance(?: mode)?|(?:we(?:’|')ll|we will) be (?:right )?back|be right back|launching soon|site (?:is )?(?:temporarily )?(?:offline|unavailable|closed|suspended)|temporarily (?:closed|unavailable)|account suspended|domain (?:is )?(?:for sale|parked)|private site|opening soon",
    'in kürze|demnächst|wartung(?:sarbeiten|smodus)?|im aufbau|in wartung|gleich zurück|bald (?:zurück|verfügbar|online)|baustelle',
    'bientôt|en maintenance|en construction|maintenance en cours|de retour',
    'próximamente|en mantenimiento|en construcción|muy pronto|volvemos',
    'prossimamente|in manutenzione|in costruzione|torniamo|in arrivo',
    'em breve|em manutenção|em construção|voltamos',
    'binnenkort|in onderhoud|onderhoud|in aanbouw|zo terug',
    'kommer snart|underhåll|under uppbyggnad|strax tillbaka|snart tillbaka',
    'kommer snart|vedligeholdelse|under opbygning|straks tilbage',
    'tulossa pian|huolto(?:katko)?|rakenteilla|palaamme pian',
    'już wkrótce|wkrótce|przerwa techniczna|prace (?:techniczne|konserwacyjne)|w budowie|w przebudowie|zaraz wracamy',
    'již brzy|připravujeme|údržba|ve výstavbě|brzy (?:zpět|se vrátíme)',
    'çok yakında|yakında|bakım(?:da| çalışması)?|yapım aşamasında|geri döneceğiz',
    'σύντομα|υπό (?:συντήρηση|κατασκευή)|συντήρηση|επιστρέφουμε',
    'незабаром|технічні роботи|на реконструкції|в розробці|обслуговування|скоро повернемося',
    '近日公開|メンテナンス|準備中|工事中',
  ),
}

/** As whole words, where a language sets words apart. */
function any(...languages: string[]): RegExp {
  const [spaced, joined] = [languages.slice(0, -1), languages.at(-1)]
  return new RegExp(`(?<![\\p{L}\\p{N}])(?:${spaced.join('|')})(?![\\p{L}\\p{N}])|${joined}`, 'iu')
}
