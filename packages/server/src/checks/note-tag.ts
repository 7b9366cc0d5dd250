import type { Verdict } from '@pebblestrand/core/verify'
import { Page } from '../sites/models'

/** Notes whether a page that was looked at loads its site's tag. */
export async function noteTag(pageId: string, verdicts: readonly Verdict[]): Promise<void> {
  const seen = verdicts.flatMap(({ facts }) => facts.tag ?? [])
  if (seen.length) await Page.update({ tagSeen: seen.includes(true) }, { where: { id: pageId } })
}
