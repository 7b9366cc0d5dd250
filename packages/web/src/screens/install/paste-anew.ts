import { methodNames, type MethodId } from '@pebblestrand/core/methods/words'
import type { InstallStatus } from '@pebblestrand/core/verify/words'

/** What has to be done on the page once an install is to stand there by another method. */
export function pasteAnew(before: MethodId, now: MethodId, status: InstallStatus): string {
  const [old, name] = [methodNames[before].name, methodNames[now].name]
  const isThere = status !== 'planned' && status !== 'handed-over'
  if (now === 'tag')
    return isThere ? `Take the ${old} out of the page: the site tag brings it now.` : 'The site tag brings it now.'
  if (before === 'tag') return `Paste the ${name} into the page: the site tag brings it no more.`
  return isThere ? `Paste the ${name} in place of the ${old}, then check again.` : `The ${name} is what to paste now.`
}
