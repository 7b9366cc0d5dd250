import { PICTURE_TALLEST } from '@pebblestrand/core/verify/words'
import type { Page } from 'playwright-core'

/** Ms. */
const WAIT = 5000

/** The page from its top, a JPEG; null where none could be taken. */
export const pictureOf = (page: Page, width: number, height: number): Promise<Buffer | null> =>
  page
    .screenshot({
      type: 'jpeg',
      quality: 60,
      fullPage: true,
      clip: { x: 0, y: 0, width, height: Math.max(1, Math.min(height, PICTURE_TALLEST)) },
      timeout: WAIT,
      animations: 'disabled',
    })
    .catch(() => null)
