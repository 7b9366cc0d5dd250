import { Parser } from 'htmlparser2'

/** What a site map lists: pages, or further maps (sitemaps.org protocol 0.9, `urlset` and `sitemapindex`; or one address a line). */
export interface SiteMap {
  pages: string[]
  maps: string[]
}

/** Addresses that one file may list (sitemaps.org protocol 0.9). */
const MOST = 50_000
/** Elements that are open at a time: the protocol has four, extensions some more. The parser's stack costs the square of its depth. */
const MOST_DEPTH = 40
/** Letters of an address that are kept (sitemaps.org protocol 0.9: fewer than 2,048). */
const MOST_LETTERS = 4096

/** Reads a site map. What is neither XML of that sort nor a list of addresses lists nothing; of what is nested deeper than any, what came before. */
export function readSiteMap(text: string): SiteMap {
  const body = text.replace(/^\uFEFF/, '').trimStart()
  return body.startsWith('<') ? fromXml(body) : { pages: fromLines(body), maps: [] }
}

function fromXml(xml: string): SiteMap {
  const [pages, maps]: [string[], string[]] = [[], []]
  const open: string[] = []
  let text = ''
  const parser: Parser = new Parser(
    {
      onopentagname(name) {
        if (open.length >= MOST_DEPTH) return parser.pause()
        // A prefix is of no matter: the elements' names are.
        open.push(name.slice(name.lastIndexOf(':') + 1))
        text = ''
      },
      ontext(more) {
        if (text.length < MOST_LETTERS) text += more
      },
      onclosetag() {
        const [parent, name] = open.slice(-2)
        open.pop()
        if (name !== 'loc') return
        const into = parent === 'url' ? pages : parent === 'sitemap' ? maps : null
        if (into && into.length < MOST && isAddress(text.trim())) into.push(text.trim())
      },
    },
    { xmlMode: true },
  )
  parser.end(xml)
  return { pages, maps }
}

const fromLines = (text: string) =>
  text
    .split(/\r?\n/)
    .map((line) => line.trim())
    .filter(isAddress)
    .slice(0, MOST)

const isAddress = (text: string) => /^https?:\/\//i.test(text) && URL.canParse(text)

/** Where a site's robots.txt says that its maps are (sitemaps.org, "Specifying the Sitemap location in your robots.txt file"). */
export const siteMapsNamed = (robots: string): string[] =>
  robots
    .split(/\r\n|\r|\n/)
    .flatMap((line) => /^\s*sitemap\s*:\s*([^\s#]+)/i.exec(line)?.[1] ?? [])
    .filter(isAddress)
