import { duration } from '../words'

/** What a finding's sentences are made of; each code uses what it needs. */
export interface FindingData {
  planned?: string
  found?: string
  copies?: number
  other?: string
  host?: string
  ours?: string
  where?: string
  age?: number
  width?: number
  placementWidth?: number
  selector?: string
  destination?: string
  problem?: string
  /** Why a script that is there does not run, as a clause. */
  held?: string
  /** What would let it through, ready to copy. */
  rule?: string
  /** As wide as the window. */
  window?: boolean
  /** Whether the page was seen past its cache as well; whether visitors still get it. */
  pastCache?: boolean
  stillServed?: boolean
  /** What a banner that asks for agreement begins with. */
  consent?: string
  /** Releases: the one that is shown, and the one that should be. */
  release?: number
  wanted?: number
  sideways?: boolean
  /** Px: how high a frame is, and how high what stands in it. */
  frameHeight?: number
  needs?: number
  /** What is wrong with the old copy. */
  shows?: string
  steps?: { publish?: string; cache?: string; codeBox?: string }
}

/** What a finding is about: the page whoever stands on it, the install, or one thing in it. */
export type FindingSubject = 'page' | 'install' | 'item'

interface CatalogueEntry {
  title: string
  subject: FindingSubject
  weight: number
  /** Visitors see the widget all the same. */
  isSeen?: true
  says(data: FindingData): string
  remedy(data: FindingData): string
  /** Under which of Today's headings it waits: what a person does next. */
  nextAction: NextAction
}

export type NextAction = 'paste' | 'publish' | 'cache' | 'look'

const places: Record<string, string> = {
  comment: 'inside an HTML comment',
  template: 'inside a template element',
  noscript: 'inside a noscript element',
  head: "in the page's head",
  data: 'inside a script or style',
  noembed: 'inside a noembed element',
  noframes: 'inside a noframes element',
  fallback: "in what another frame shows where frames don't work",
}

/** Every finding by code, the weightiest first. A code once shipped keeps its meaning. */
export const catalogue = {
  'does-not-appear': {
    subject: 'install',
    weight: 66,
    title: 'It does not appear.',
    says: (d) => `It is on the page, and did not appear when it was tried: ${d.problem}.`,
    remedy: () =>
      'Look at the rehearsal of the site: another may be in its way, or its selector may fit nothing there.',
    nextAction: 'look',
  },
  'form-not-delivering': {
    subject: 'install',
    weight: 65,
    isSeen: true,
    title: 'Its form does not deliver.',
    says: (d) => `A test that was sent through it did not arrive: it stopped ${d.problem}`,
    remedy: () => 'Look at the form’s own page where it stopped, mend that, and send another test.',
    nextAction: 'look',
  },
  'appears-anyway': {
    subject: 'install',
    weight: 64,
    isSeen: true,
    title: 'It appears where it should not.',
    says: (d) => `It appeared when it should have stayed away: ${d.problem}.`,
    remedy: () => 'Visitors may still have an older release: clear the site’s cache, and check again.',
    nextAction: 'cache',
  },
  'cannot-be-closed': {
    subject: 'install',
    weight: 63,
    isSeen: true,
    title: 'It cannot be closed by key.',
    says: (d) => `${d.problem}. Who uses no mouse is caught in it.`,
    remedy: () => 'Something on the page takes the key away: look whether a script of the site listens for it.',
    nextAction: 'look',
  },
  'covers-consent': {
    subject: 'install',
    weight: 62,
    isSeen: true,
    title: 'It covers the question for the visitor’s agreement.',
    says: (d) => `${d.problem}.`,
    remedy: () => 'Give it another place, or let it appear later, once the visitor has answered.',
    nextAction: 'look',
  },
  unreachable: {
    subject: 'page',
    weight: 100,
    title: 'The page does not answer.',
    says: (d) => `${d.problem}`,
    remedy: () => 'Open the page in a private window. If it fails there too, tell the client.',
    nextAction: 'look',
  },
  moved: {
    subject: 'page',
    weight: 95,
    title: 'The page has moved.',
    says: (d) => `Its address leads on to ${d.destination}.`,
    remedy: () => "Correct the page's path on the page plan.",
    nextAction: 'look',
  },
  'still-there': {
    subject: 'install',
    weight: 90,
    title: 'It is still on the page.',
    says: (d) =>
      d.found
        ? `The install is meant to be gone, and stands in the ${d.found}.`
        : 'The install is meant to be gone, and stands on the page.',
    remedy: (d) => `Take the snippet out, then ${d.steps?.publish ?? 'publish the page'}.`,
    nextAction: 'publish',
  },
  double: {
    subject: 'install',
    weight: 80,
    isSeen: true,
    title: 'It is there more than once.',
    says: (d) => `${d.copies} copies stand on the page.`,
    remedy: (d) => `Take the extra out, so that ${d.planned ? `the one in the ${d.planned}` : 'one'} stays.`,
    nextAction: 'look',
  },
  'wrong-placement': {
    subject: 'install',
    weight: 75,
    isSeen: true,
    title: 'It is in another place.',
    says: (d) => `Planned for the ${d.planned}, found ${d.found ? `in the ${d.found}` : 'outside any region we know'}.`,
    remedy: (d) => `Move it to the ${d.planned}, or correct the plan.`,
    nextAction: 'look',
  },
  'script-stripped': {
    subject: 'install',
    weight: 70,
    title: 'Its script does not run.',
    says: (d) =>
      d.held
        ? `Our element and our script are on the page, but browsers do not run the script: ${d.held}.${banner(d)}`
        : 'Our element is on the page, our script is not: the editor took it out when it saved.',
    remedy: (d) =>
      d.held
        ? 'Let the tool that does this leave our script alone (it needs no consent: it sets no cookies), or take the frame instead.'
        : `Paste into ${d.steps?.codeBox ?? 'a box that keeps scripts'}, or take the frame instead.`,
    nextAction: 'paste',
  },
  'wrong-host': {
    subject: 'install',
    weight: 65,
    title: 'It points to another address.',
    says: (d) => `The snippet loads from ${d.host}; this Pebblestrand answers at ${d.ours}.`,
    remedy: () => 'Paste the current snippet in its place.',
    nextAction: 'paste',
  },
  blocked: {
    subject: 'install',
    weight: 68,
    title: 'The site does not let it show.',
    says: (d) => `${d.problem}`,
    remedy: (d) =>
      d.rule
        ? `Add this to the site’s content security policy: ${d.rule}`
        : 'Paste it where nothing holds it back, or take another method.',
    nextAction: 'look',
  },
  'script-error': {
    subject: 'install',
    weight: 66,
    title: 'It does not start.',
    says: (d) => `In a browser${d.where ? ` ${d.where}` : ''} it stays empty: ${d.problem}${banner(d)}`,
    remedy: (d) =>
      d.consent
        ? 'Let the banner’s tool leave our script alone: it sets no cookies and needs no agreement.'
        : 'Look at the proof; another script of the page may be in its way.',
    nextAction: 'look',
  },
  empty: {
    subject: 'install',
    weight: 58,
    title: 'It shows nothing.',
    says: () => 'It is there and has no items.',
    remedy: () => 'Look at the sieve and the source: a rule may take everything.',
    nextAction: 'look',
  },
  overflow: {
    subject: 'install',
    weight: 48,
    isSeen: true,
    title: 'It is too large for its place.',
    says: (d) =>
      d.needs
        ? `${capital(d.where)} its frame is ${d.frameHeight} px high and the widget needs ${d.needs} px.`
        : d.sideways
          ? `${capital(d.where)} it makes the page scroll sideways.`
          : `${capital(d.where)} its content is wider than its place.`,
    remedy: (d) =>
      d.needs
        ? `Make the frame ${d.needs} px high in the editor.`
        : 'Take fewer columns, or the frame’s sized snippet.',
    nextAction: 'look',
  },
  'old-release': {
    subject: 'install',
    weight: 38,
    isSeen: true,
    title: 'An older release is shown.',
    says: (d) => `Visitors see release ${d.release}; release ${d.wanted} should be shown.`,
    remedy: (d) => `Clear the cache: ${d.steps?.cache ?? "use the site's own button for it"}, then publish it again.`,
    nextAction: 'cache',
  },
  hidden: {
    subject: 'install',
    weight: 63,
    title: 'It is there and cannot be seen.',
    says: (d) => `${d.where ? `${capital(d.where)} it` : 'It'} stands in ${d.problem}.`,
    remedy: () => 'Show that part of the page, or move the widget to one that is shown.',
    nextAction: 'look',
  },
  'no-width': {
    subject: 'install',
    weight: 60,
    isSeen: true,
    title: 'The frame has no fitting width.',
    says: (d) =>
      d.window
        ? `The frame is as wide as the window, its placement ${d.placementWidth} px.`
        : d.width === 0
          ? 'The frame is 0 px wide.'
          : d.width
            ? `The frame is ${d.width} px wide, its placement ${d.placementWidth} px.`
            : 'The frame has no width, so browsers make it 300 px wide.',
    remedy: () => 'Paste the sized snippet in its place.',
    nextAction: 'paste',
  },
  'shown-as-text': {
    subject: 'install',
    weight: 55,
    title: 'The snippet is shown as text.',
    says: (d) => `Visitors read its code${d.found ? ` in the ${d.found}` : ''} instead of seeing the widget.`,
    remedy: (d) =>
      `Take it out of the text box and paste it into ${d.steps?.codeBox ?? "the editor's HTML or code block"}.`,
    nextAction: 'paste',
  },
  'shortcode-raw': {
    subject: 'install',
    weight: 54,
    title: 'The shortcode is shown as it was typed.',
    says: (d) => `Visitors read the shortcode${d.found ? ` in the ${d.found}` : ''}: no connector has replaced it.`,
    remedy: () => 'Switch the connector on at this site, or take another method and paste its text instead.',
    nextAction: 'paste',
  },
  'link-only': {
    subject: 'install',
    weight: 53,
    title: 'Its address became a link.',
    says: () => 'The editor made a link of the address, and shows nothing of what stands behind it.',
    remedy: () =>
      'Put the address on a line of its own in a box that expands addresses, or take another method and paste its text instead.',
    nextAction: 'paste',
  },
  'tag-missing': {
    subject: 'install',
    weight: 52,
    title: 'The site tag is not on this page.',
    says: () => 'It is to be brought by the site tag, and the page does not load that.',
    remedy: (d) => `Put the site tag into the head of every page, then ${d.steps?.publish ?? 'publish the page'}.`,
    nextAction: 'paste',
  },
  'place-gone': {
    subject: 'install',
    weight: 51,
    title: 'Its place is not on the page.',
    says: (d) => `The site tag is there, and nothing on the page fits ${d.selector ?? 'its placement'}.`,
    remedy: () => 'Correct the placement’s selector on the page plan: the site may have a new theme.',
    nextAction: 'look',
  },
  inert: {
    subject: 'install',
    weight: 50,
    title: 'It is where nothing is shown.',
    says: (d) => `The snippet stands ${places[d.where ?? ''] ?? 'where browsers do not run it'}.`,
    remedy: (d) => `Move it into the page's body${d.planned ? `, into the ${d.planned}` : ''}.`,
    nextAction: 'paste',
  },
  'other-widget': {
    subject: 'install',
    weight: 45,
    title: 'Another widget is in its place.',
    says: (d) => `In the ${d.planned} stands ${d.other}.`,
    remedy: () => 'Replace it with the snippet of this install.',
    nextAction: 'paste',
  },
  'cached-copy': {
    subject: 'page',
    weight: 40,
    title: 'An old copy is being served.',
    says: (d) =>
      `${d.shows ? `Past the cache that has changed; visitors get an old copy (${d.shows.replace(/\.$/, '')})` : 'Past the cache the widget is there; the page as served is an old copy'}${d.age === undefined ? '' : `, ${age(d.age)} old`}.`,
    remedy: (d) => `Clear the cache: ${d.steps?.cache ?? "use the site's own button for it"}.`,
    nextAction: 'cache',
  },
  unpublished: {
    subject: 'page',
    weight: 35,
    title: 'Saved, but not published.',
    says: () => 'No trace of it, and the page has not changed since before it was pasted.',
    remedy: (d) => `Publish there: ${d.steps?.publish ?? "use the editor's publish button"}.`,
    nextAction: 'publish',
  },
  'signed-in-only': {
    subject: 'install',
    weight: 36,
    title: 'Only editors see it.',
    says: () => 'At the page’s preview address it is there; visitors do not get it.',
    remedy: (d) =>
      `Publish there: ${d.steps?.publish ?? "use the editor's publish button"}. Then look whether its block is shown to everyone.`,
    nextAction: 'publish',
  },
  'broken-link': {
    subject: 'item',
    weight: 25,
    isSeen: true,
    title: 'A link in it leads nowhere.',
    says: (d) => `${d.problem}`,
    remedy: () => 'Mend the link where the item comes from, or leave that item out.',
    nextAction: 'look',
  },
  absent: {
    subject: 'install',
    weight: 30,
    title: 'Not on the page.',
    says: (d) =>
      d.stillServed
        ? 'Past the cache there is no trace of it; visitors still get an old copy that has it.'
        : d.pastCache
          ? 'There is no trace of it, neither in the page as served nor past its cache.'
          : 'There is no trace of it in the page as served.',
    remedy: (d) => `Paste the snippet, then ${d.steps?.publish ?? 'publish the page'}.`,
    nextAction: 'paste',
  },
} as const satisfies Record<string, CatalogueEntry>

/** What holds a script back, as a sentence of its own. */
function banner({ consent }: FindingData) {
  return consent ? ` A banner asks for the visitor’s agreement first (“${consent}”).` : ''
}

/** With a capital letter, at the beginning of a sentence. */
function capital(words = 'at every width') {
  return words.charAt(0).toUpperCase() + words.slice(1)
}

export type FindingCode = keyof typeof catalogue
export const findingCodes = Object.keys(catalogue) as FindingCode[]

/** How old a copy is, in words; the `Age` header counts seconds (RFC 9111, section 5.1). */
export const age = (seconds: number) => (seconds < 60 ? 'less than a minute' : duration(seconds / 60))
