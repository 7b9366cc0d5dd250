import type { Element } from 'domhandler'
import { matchesGlob, profiles, type PlatformProfile } from '../platforms'
import { elementsNamed, type Page } from '../verify/page'
import { fact, type Fact } from './fact'

/** What of a site tells what it is built with. */
interface Signs {
  /** Paths and addresses that its pages name. */
  addresses: string[]
  /** The word for the program that wrote the page, empty where none is given. */
  generator: string
  headers: Record<string, string>
  /** Classes and ids of its elements, each once. */
  names: string[]
}

/** The profile whose signs a page shows most of; null where it shows none of any. */
export function platformOf(page: Page, headers: Record<string, string>): Fact<string> | null {
  const signs: Signs = {
    addresses: elementsNamed(page, 'a', 'link', 'script', 'img', 'form').flatMap(
      ({ attribs }) => attribs.href ?? attribs.src ?? attribs.action ?? [],
    ),
    generator: page.$('meta[name="generator" i]').attr('content') ?? '',
    headers,
    names: namesIn(page),
  }
  const scored = Object.values(profiles)
    .map((profile) => ({ profile, reasons: reasonsFor(profile, signs) }))
    .filter(({ reasons }) => reasons.length)
    .sort((a, b) => b.reasons.length - a.reasons.length)
  const [best] = scored
  return best ? fact(best.profile.id, best.reasons.join(', ')) : null
}

/** More names than a page has that was written by hand. */
const MOST_NAMES = 3000

function namesIn(page: Page): string[] {
  const names = new Set<string>()
  for (const element of page.$('[class], [id]').toArray()) {
    const { id = '', class: classes = '' } = (element as Element).attribs
    for (const name of [id, ...classes.split(/\s+/)]) if (name && names.size < MOST_NAMES) names.add(name)
  }
  return [...names]
}

const reasonsFor = ({ signs }: PlatformProfile, { addresses, generator, headers, names }: Signs): string[] =>
  signs.flatMap(({ of, like, says }) => {
    const fits = (text: string) => matchesGlob(text, like)
    const there =
      of === 'generator'
        ? fits(generator)
        : of === 'address'
          ? addresses.some((address) => fits(address))
          : of === 'header'
            ? Object.entries(headers).some(([name, value]) => fits(`${name}: ${value}`))
            : names.some(fits)
    return there ? [says] : []
  })
