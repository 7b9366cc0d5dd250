import type { Platform } from '../platforms/platform'
import type { Theme } from '../sites/site'

/** How one site's pages are put together, where that is not as its platform does it by itself: another hand, another theme. */
export interface Build {
  body: Platform['body']
  /** Beside what every site's style sheet says. */
  css(theme: Theme): string
}
