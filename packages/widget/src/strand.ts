import { TAG_MARK } from '@pebblestrand/core/wire'
import { boot } from './boot'
import { followFrames } from './frame-heights'
import { mount } from './mount'
import { followOpeners, openBy } from './openers'
import { bringSite } from './site'

declare global {
  var pebblestrand: { mount: typeof mount; boot: () => void; show: (id: string) => void } | undefined
}

/** The one global. A page with several snippets loads the script several times; the first one works for all. */
const script = document.currentScript as HTMLScriptElement | null
const origin = script?.src ? new URL(script.src).origin : location.origin

// An element of the page whose id is our name stands there as well, as browsers have it; it is not ours.
if (!globalThis.pebblestrand?.boot) {
  globalThis.pebblestrand = { mount, boot: () => boot(origin), show: (id) => openBy(id, origin) }
  followFrames(origin)
  followOpeners(origin)
}
globalThis.pebblestrand.boot()
const site = script?.getAttribute(TAG_MARK)
if (site) void bringSite(site, origin, () => globalThis.pebblestrand?.boot())
