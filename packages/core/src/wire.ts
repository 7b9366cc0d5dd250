import { escapeSegment } from './markup'

// What snippet, delivery, runtime and verifier agree on. Snippets stand on client pages for years: what is here is only ever
// added to. A path that carries bytes of ours carries a version, so that a script a browser still keeps never meets bytes it
// does not understand.

/** Attribute that marks our element on a client's page; its value is the install's public id. */
export const MARK = 'data-pebblestrand'

/** Attribute of the script that is a site's tag; its value is the tag's public id. */
export const TAG_MARK = 'data-pebblestrand-site'

/** Attribute of what opens a widget when it is pressed; its value is the install's public id. */
export const OPENS_MARK = 'data-pebblestrand-opens'

/** Attribute that says how something over the page is: `shut`, `open`, `closing`. Without it, it stands where it is. */
export const OVER_MARK = 'data-pebblestrand-over'

/** Attribute of something over the page once it takes its turn: what makes it appear has come, and looks. */
export const OVER_READY = 'data-pebblestrand-over-ready'

/**
 * Name in a tab's session storage by which nothing over the page appears by itself there (`*`), or only one, by its install's public
 * id: for whoever looks at the page below it.
 */
export const HELD = 'pebblestrand-held'

/** Name of the shortcode that a site's connector replaces. */
export const SHORTCODE = 'pebblestrand'

/** Attribute by which the runtime tells the release it shows. */
export const RELEASE_MARK = 'data-pebblestrand-release'

/** Paths below the address where a Pebblestrand answers. `{id}` is a public id, `{name}` a behaviour's. */
export const publicPaths = {
  /** The script in a snippet: loader and mount. */
  script: '/strand.js',
  /** One version of it, by the hash of its bytes; it never changes and stays for good. */
  scriptVersion: '/strand/{id}.js',
  /** Which version is the newest, with its integrity value. */
  scripts: '/strand.json',
  payload: '/p2/{id}.json',
  /** Payloads as scripts of version 1 read them. */
  payload1: '/p/{id}.json',
  frame: '/f/{id}',
  link: '/v/{id}',
  /** What a site's connector puts in a shortcode's place. */
  connector: '/c1/{id}',
  /** Of a widget, for places that take nothing else: at once and twice the size, and as a drawing. */
  still: '/r1/{id}.png',
  stillTwice: '/r2/{id}.png',
  stillDrawing: '/r3/{id}.svg',
  /** What editors ask for that expand addresses (oEmbed 1.0). */
  oembed: '/oembed',
  /** What a site's tag brings, and to which pages. */
  site: '/s1/{id}.json',
  behaviour: '/b1/{name}.js',
  /** More of what a widget shows, part by part from 1. */
  part: '/m1/{id}/{name}.json',
  /** Where a behaviour tells what happened at an install. */
  told: '/b1/{name}/{id}',
  /** Where a form is sent. */
  form: '/w1/{id}',
  /** Which country a visitor is in, as the operator's own proxy says it. */
  country: '/g1/here.json',
  font: '/fonts/{name}',
  /** Our copies of pictures; a width and a format follow the name, which is the hash of the picture as it came. */
  picture: '/i1/{name}',
} as const

export type PublicPath = keyof typeof publicPaths

/** A public path with its blanks filled in, in their order, each escaped as one segment of a URL. */
export const pathTo = (path: PublicPath, ...names: string[]) =>
  publicPaths[path].replace(/\{\w+\}/g, () => escapeSegment(names.shift() ?? ''))
