import { sitePolicyOf } from '@pebblestrand/core/policy'
import type { Look } from '@pebblestrand/core/verify'
import { isDeepStrictEqual } from 'node:util'
import { Page } from './models'

/** Notes the rules that a page was served with: advice goes by them from then on. */
export async function notePolicy(pageId: string, look: Look): Promise<void> {
  if (look.error || look.status < 200 || look.status >= 300) return
  const page = await Page.findByPk(pageId)
  if (!page) return
  const seen = sitePolicyOf(look.headers, look.html)
  const { at: _, ...before } = page.policySeen ?? { at: '' }
  if (!isDeepStrictEqual(before, seen)) await page.update({ policySeen: { ...seen, at: look.at } })
}
