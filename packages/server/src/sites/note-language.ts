import type { Transaction } from 'sequelize'
import type { Look } from '@pebblestrand/core/verify'
import { isPattern } from '@pebblestrand/core/page-patterns'
import { recomputeFor } from '../artefacts/queue-recompute'
import type { Context } from '../platform/context'
import { Page, Site } from './models'

/** The `lang` of a page's outermost element (HTML standard, section 3.2.6.2); null where it says none that is a language. */
export function languageOf(html: string): string | null {
  const [, ...values] =
    /<html\b[^>]*?\slang\s*=\s*(?:"([^"]*)"|'([^']*)'|([^\s"'>]+))/i.exec(html.slice(0, 20_000)) ?? []
  const tag = values.find((value) => value !== undefined)?.trim()
  try {
    return tag ? (Intl.getCanonicalLocales(tag)[0] ?? null) : null
  } catch {
    return null
  }
}

/**
 * What widgets speak on a page: the site's language as it is noted; the page's own where that is not the one its home page says it is
 * in. What all pages of a site say wrongly, as themes do, is thus put right by a note.
 * @param home what the site's home page says, where it was looked at
 */
export function spokenOn(
  { path, languageSeen }: Pick<Page, 'path' | 'languageSeen'>,
  site: Pick<Site, 'language'> | undefined,
  home: string | null,
): string | null {
  const isApart = home !== null && languageSeen !== null && languageSeen !== home && !isPattern(path)
  return isApart ? languageSeen : (site?.language ?? languageSeen)
}

/** What the home pages of some sites say they are in, by the site's id. */
export async function homeLanguages(
  siteIds: readonly string[],
  transaction?: Transaction,
): Promise<Map<string, string>> {
  const homes = await Page.findAll({ where: { siteId: [...siteIds], path: HOME }, transaction })
  return new Map(homes.flatMap(({ siteId, languageSeen }) => (languageSeen ? [[siteId, languageSeen] as const] : [])))
}

const HOME = '/'

/** Notes the language that a page is in: what stands on it speaks that one, where its own is not fixed. */
export async function noteLanguage(context: Context, pageId: string, look: Look): Promise<void> {
  if (look.error || look.status < 200 || look.status >= 300) return
  const language = languageOf(look.html)
  const page = await Page.findByPk(pageId, { include: Site })
  if (!page || page.languageSeen === language) return
  const home = (await homeLanguages([page.siteId])).get(page.siteId) ?? null
  const before = spokenOn(page, page.Site, home)
  await context.db.transaction(async (transaction) => {
    await page.update({ languageSeen: language }, { transaction })
    // What others speak hangs on the home page.
    if (page.path === HOME) await recomputeFor(context, 'site', page.siteId, transaction)
    else if (spokenOn(page, page.Site, home) !== before) await recomputeFor(context, 'page', pageId, transaction)
  })
}
