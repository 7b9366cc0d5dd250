import type { Setting } from '@pebblestrand/core/advice'
import type { Kind } from '@pebblestrand/core/kinds'
import { methods, type MethodId } from '@pebblestrand/core/methods'
import type { PlatformProfile, Region } from '@pebblestrand/core/platforms'
import {
  additions,
  directiveSaid,
  isEssential,
  isMixed,
  permissionFor,
  readPolicies,
  refusals,
  withholds,
  type Refusal,
} from '@pebblestrand/core/policy'
import type { Context } from '../platform/context'
import { standingOf, type SiteTag } from '../artefacts/site-tag'
import { addressOf } from '../sites/address'
import type { Page, Site } from '../sites/models'

interface Where {
  site: Site
  page: Page
  /** Its living tag. */
  tag: SiteTag | null
  profile: PlatformProfile
  /** Null for what stands over the page. */
  region: Region | null
  selector: string | null
  behaviours?: readonly string[]
  /** Origins of the players that open in it. */
  players?: readonly string[]
  kind?: Kind
}

/** What decides, beside the platform, how each method fares at a place. */
export function settingOf(
  { config }: Context,
  { site, page, tag, profile, region, selector, behaviours = [], players = [], kind }: Where,
): Setting {
  // Until a look has shown the page's own rules, those that its platform commonly has stand for them.
  const policies = (page.policySeen?.enforced ?? [profile.policy ?? '']).flatMap(readPolicies)
  return {
    origin: config.origin,
    region,
    behaviours,
    connector: profile.connector && site.connector,
    tag: standingOf(tag),
    selector: selector !== null,
    pictured: kind?.pictured !== undefined,
    players,
    withholds: (feature, origins) =>
      origins.some((origin) => withholds(permissionsOf(page), feature, origin, addressOn(site, page))),
    refused(needs) {
      if (isMixed(site.origin, config.origin))
        return {
          problem: 'the site is served over https and this Pebblestrand over http, which browsers refuse',
          rule: null,
        }
      const refused = refusals(policies, needs, addressOn(site, page))
      const [first] = refused
      return first && isEssential(first) ? { problem: refusedSaid(first), rule: additions(refused) } : null
    },
  }
}

const addressOn = ({ origin }: Site, { path }: Page) => new URL(addressOf({ origin, path }))

/** What policies that only report so far would stop of a method once they count, as what to add to them; null for nothing. */
export function refusedOneDay({ config }: Context, method: MethodId, site: Site, page: Page): string | null {
  const policies = (page.policySeen?.reported ?? []).flatMap(readPolicies)
  return additions(refusals(policies, methods[method].policy(config.origin), addressOn(site, page))) || null
}

const permissionsOf = ({ policySeen }: Page) => policySeen?.permissions ?? ''

/** What the site's permissions policy has to say for films to fill the screen by this method; null where nothing keeps them from it. */
export function permissionNeeded(
  { config }: Context,
  method: MethodId,
  { site, page, players = [] }: Pick<Where, 'site' | 'page' | 'players'>,
): string | null {
  if (!players.length) return null
  const framed = methods[method].artefact === 'frame' || methods[method].artefact === 'page'
  const origins = framed ? [config.origin] : players
  const address = addressOn(site, page)
  return origins.some((origin) => withholds(permissionsOf(page), 'fullscreen', origin, address))
    ? permissionFor(permissionsOf(page), 'fullscreen', origins, address)
    : null
}

const refusedSaid = (first: Refusal) =>
  `the site’s content security policy stops it (${directiveSaid(first)})${first.besides ? `; ${first.besides}` : ''}`
