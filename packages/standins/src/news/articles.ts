export interface Article {
  slug: string
  section: 'news' | 'harbour' | 'culture'
  title: string
  author: string
  /** Before the stand-ins' first start. */
  hoursAgo: number
  labels: string[]
  paragraphs: string[]
  picture: boolean
}

const article = (section: Article['section'], slug: string, title: string, author: string, hoursAgo: number, labels: string, picture: boolean, ...paragraphs: string[]): Article => ({
  slug, section, title, author, hoursAgo, labels: labels.split(', '), paragraphs, picture,
})

// The Skerrow Post: an invented newspaper of the invented isles.
export const articles: Article[] = [
  article('harbour', 'second-ramp', 'Second ramp opens at Gullhaven pier', 'Isla Marrow', 3, 'pier, ferry', true, 'After eleven months of work the second ramp at Gullhaven pier takes its first cars on Thursday. Boats can now load and unload at the same time, which should save nine minutes a crossing.', 'The old ramp stays in use for bicycles.'),
  article('harbour', 'winter-timetable', 'Winter timetable: the 06:40 stays', 'Isla Marrow', 9, 'ferry, timetable', true, 'The early boat to Orrin was to be dropped for the winter. After 412 letters it will sail on weekdays until March, and then be looked at again.'),
  article('harbour', 'seal-on-slipway', 'Seal keeps slipway closed for a second day', 'Torben Aske', 15, 'wildlife, pier', true, 'A young grey seal has made the lifeboat slipway its own. Skippers are asked to use the north steps and to leave it in peace.'),
  article('harbour', 'dredging', 'Dredging begins in the outer basin', 'Nell Corrigan', 28, 'works', false, 'The dredger will work from Monday at low water. Moorings four to nine have to be clear by Sunday night.'),
  article('harbour', 'net-loft', 'Net loft gets its roof back before the gales', 'Torben Aske', 40, 'works, culture', true, 'Slates came by ferry, nails by post, and forty volunteers by bicycle.'),
  article('harbour', 'fog-signal', 'Fog signal sounds a tone lower', 'Nell Corrigan', 55, 'pier', false, 'Ninefold Choir says it is now an E flat and asks that it may stay one.'),
  article('harbour', 'regatta', 'Regatta moved to the last Sunday of November', 'Isla Marrow', 70, 'regatta, sailing', true, 'Twenty-six boats have entered. The start is at two o’clock off the east mole, if there is wind.'),
  article('harbour', 'buoys', 'New buoys mark the Orrin shoal', 'Nell Corrigan', 96, 'sailing', false, 'The two cardinal buoys replace the withies that have stood there since anyone remembers.'),
  article('news', 'clinic-van', 'Vets take to the road on Wednesdays', 'Petra Lund', 5, 'animals', true, 'Tarnside Vets will visit the outer farms with a van that holds a table, a scale and a kettle.'),
  article('news', 'school-garden', 'School garden grows record leek', 'Petra Lund', 12, 'school', true, 'At a metre and six centimetres it beats the leek of 1998. It has been eaten.'),
  article('news', 'bridge', 'Footbridge at Windle closed for two weeks', 'Torben Aske', 20, 'works', false, 'Walkers are led round by the mill. The detour takes twelve minutes, or eight if you know the farmer.'),
  article('news', 'cider-medal', 'Cider from Brackenfold takes the blue ribbon', 'Nell Corrigan', 33, 'food', true, 'The judges praised its “honest bite”. Nine hundred bottles are left.'),
  article('news', 'night-bus', 'Night bus on trial until Easter', 'Petra Lund', 47, 'transport', false, 'One bus, one driver, last call at half past midnight by the harbour.'),
  article('news', 'cycle-lane', 'Cycle lane reaches the lighthouse', 'Torben Aske', 61, 'cycling, transport', true, 'The last four hundred metres were the windiest. Pollard Cycles lends out clips for trousers.'),
  article('news', 'library', 'Library lends tools as well as books', 'Isla Marrow', 75, 'library', false, 'Drills on Mondays, ladders by appointment, poetry at all times.'),
  article('news', 'power-cut', 'Power cut on Saturday night: what happened', 'Nell Corrigan', 90, 'power', false, 'A gull, a cable and a very short meeting between the two.'),
  article('culture', 'night-of-the-dome', 'Observatory keeps its dome open for the meteor shower', 'Ada Fenwick', 7, 'astronomy', true, 'Up to sixty shooting stars an hour are expected after midnight. Blankets are provided; thermos flasks are welcome.'),
  article('culture', 'kiln-opening', 'Orrin Kiln opens its autumn firing', 'Ada Fenwick', 18, 'pottery', true, 'Two hundred pieces come out warm on Saturday at ten. Those who help to unload may choose first.'),
  article('culture', 'knot-lecture', 'The knot that nobody can untie', 'Lorcan Bray', 26, 'museum', true, 'Windle Knot Museum invites all comers to try. The prize is a metre of excellent rope.'),
  article('culture', 'winter-concert', 'Winter concert: nine voices by candle light', 'Lorcan Bray', 44, 'choir, music', true, 'The programme runs from a carol of 1611 to a piece finished last week.'),
  article('culture', 'film-club', 'Film club finds its projector', 'Ada Fenwick', 58, 'film', false, 'It had been holding a door open in the town hall since spring.'),
  article('culture', 'poetry-wall', 'Poems return to the harbour wall', 'Lorcan Bray', 80, 'poetry', true, 'Chalk is laid out at the crane. Rain is the editor.'),
]
