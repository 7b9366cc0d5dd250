import { profiles, type PlatformProfile } from '../platforms'
import { elementsNamed, type Page } from '../verify/page'
import { fact, type Fact } from './fact'

/** What of a site tells what it is built with. */
interface Signs {
  /** Paths and addresses that its pages name. */
  addresses: string[]
  /** The word for the program that wrote the page, empty where none is given. */
  generator: string
  headers: Record<string, string>
}

/** The profile whose signs a page shows most of; null where it shows none of any. */
export function platformOf(page: Page, headers: Record<string, string>): Fact<string> | null {
  const signs: Signs = {
    addresses: elementsNamed(page, 'a', 'link', 'script', 'img', 'form').flatMap(
      ({ attribs }) => attribs.href ?? attribs.src ?? attribs.action ?? [],
    ),
    generator: page.$('meta[name="generator" i]').attr('content') ?? '',
    headers,
  }
  const scored = Object.values(profiles)
    .map((profile) => ({ profile, reasons: reasonsFor(profile, signs) }))
    .filter(({ reasons }) => reasons.length)
    .sort((a, b) => b.reasons.length - a.reasons.length)
  const [best] = scored
  return best ? fact(best.profile.id, best.reasons.join(', ')) : null
}

const reasonsFor = ({ signs }: PlatformProfile, { addresses, generator, headers }: Signs): string[] =>
  signs.flatMap(({ of, like, says }) => {
    const there =
      of === 'generator'
        ? like.test(generator)
        : of === 'address'
          ? addresses.some((address) => like.test(address))
          : Object.entries(headers).some(([name, value]) => like.test(`${name}: ${value}`))
    return there ? [says] : []
  })
