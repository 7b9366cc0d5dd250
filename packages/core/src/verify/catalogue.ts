import { duration } from '../snippet'

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
  destination?: string
  problem?: string
  steps?: { publish?: string; cache?: string; codeBox?: string }
}

interface CatalogueEntry {
  title: string
  says(data: FindingData): string
  remedy(data: FindingData): string
  /** Under which of Today's headings it waits: what the hands do. */
  hands: Hands
}

export type Hands = 'paste' | 'publish' | 'cache' | 'look'

const places: Record<string, string> = {
  comment: 'inside an HTML comment',
  template: 'inside a template element',
  noscript: 'inside a noscript element',
  head: "in the page's head",
  data: 'inside a script or style',
}

/** Every finding by code, in order of weight. A code once shipped keeps its meaning. */
export const catalogue = {
  unreachable: {
    title: 'The page does not answer.',
    says: (d) => `${d.problem}`,
    remedy: () => 'Open the page in a private window. If it fails there too, tell the client.',
    hands: 'look',
  },
  moved: {
    title: 'The page has moved.',
    says: (d) => `Its address leads on to ${d.destination}.`,
    remedy: () => "Correct the page's path on the page plan.",
    hands: 'look',
  },
  'still-there': {
    title: 'It is still on the page.',
    says: (d) =>
      d.found
        ? `The install is meant to be gone, and stands in the ${d.found}.`
        : 'The install is meant to be gone, and stands on the page.',
    remedy: (d) => `Take the snippet out, then ${d.steps?.publish ?? 'publish the page'}.`,
    hands: 'publish',
  },
  double: {
    title: 'It is there more than once.',
    says: (d) => `${d.copies} copies stand on the page.`,
    remedy: (d) => `Take the extra out, so that the one in the ${d.planned} stays.`,
    hands: 'look',
  },
  'wrong-placement': {
    title: 'It is in another place.',
    says: (d) => `Planned for the ${d.planned}, found ${d.found ? `in the ${d.found}` : 'outside any region we know'}.`,
    remedy: (d) => `Move it to the ${d.planned}, or correct the plan.`,
    hands: 'look',
  },
  'script-stripped': {
    title: 'Its script is missing.',
    says: () => 'Our element is on the page, our script is not: the editor took it out when it saved.',
    remedy: (d) => `Paste into ${d.steps?.codeBox ?? 'a box that keeps scripts'}, or take the frame instead.`,
    hands: 'paste',
  },
  'wrong-host': {
    title: 'It points to another address.',
    says: (d) => `The snippet loads from ${d.host}; this Pebblestrand answers at ${d.ours}.`,
    remedy: () => 'Paste the current snippet in its place.',
    hands: 'paste',
  },
  'no-width': {
    title: 'The frame has no fitting width.',
    says: (d) =>
      d.width
        ? `The frame is ${d.width} px wide, its placement ${d.placementWidth} px.`
        : 'The frame has no width, so browsers make it 300 px wide.',
    remedy: () => 'Paste the sized snippet in its place.',
    hands: 'paste',
  },
  'shown-as-text': {
    title: 'The snippet is shown as text.',
    says: (d) => `Visitors read its code${d.found ? ` in the ${d.found}` : ''} instead of seeing the widget.`,
    remedy: (d) =>
      `Take it out of the text box and paste it into ${d.steps?.codeBox ?? "the editor's HTML or code block"}.`,
    hands: 'paste',
  },
  inert: {
    title: 'It is where nothing is shown.',
    says: (d) => `The snippet stands ${places[d.where ?? ''] ?? 'where browsers do not run it'}.`,
    remedy: (d) => `Move it into the page's body, into the ${d.planned}.`,
    hands: 'paste',
  },
  'other-widget': {
    title: 'Another widget is in its place.',
    says: (d) => `In the ${d.planned} stands ${d.other}.`,
    remedy: () => 'Replace it with the snippet of this install.',
    hands: 'paste',
  },
  'cached-copy': {
    title: 'An old copy is being served.',
    says: (d) =>
      `Past the cache the widget is there; the page as served is an old copy${d.age === undefined ? '' : `, ${age(d.age)} old`}.`,
    remedy: (d) => `Clear the cache: ${d.steps?.cache ?? "use the site's own button for it"}.`,
    hands: 'cache',
  },
  unpublished: {
    title: 'Saved, but not published.',
    says: () => 'No trace of it, and the page has not changed since before it was pasted.',
    remedy: (d) => `Publish there: ${d.steps?.publish ?? "use the editor's publish button"}.`,
    hands: 'publish',
  },
  absent: {
    title: 'Not on the page.',
    says: () => 'There is no trace of it, neither in the page as served nor past its cache.',
    remedy: (d) => `Paste the snippet, then ${d.steps?.publish ?? 'publish the page'}.`,
    hands: 'paste',
  },
} as const satisfies Record<string, CatalogueEntry>

export type FindingCode = keyof typeof catalogue
export const findingCodes = Object.keys(catalogue) as FindingCode[]

/** How old a copy is, in words; the `Age` header counts seconds (RFC 9111, section 5.1). */
export const age = (seconds: number) => (seconds < 60 ? 'less than a minute' : duration(seconds / 60))
