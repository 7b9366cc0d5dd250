import type { FitSpec } from '../../layout'
import type { HeadlinesSettings } from './settings'

/** Px: a picture at the left and the space beside it; text narrower than 150 px breaks after every other word. */
export const THUMB = 84
export const THUMB_GAP = 12
const TEXT_MIN = 150

export function fitSpec(
  settings: Pick<HeadlinesSettings, 'layout' | 'columns' | 'gap' | 'picture' | 'background'>,
): FitSpec {
  return {
    columns: settings.layout === 'grid' ? settings.columns : 1,
    gap: settings.gap,
    padding: settings.background ? 16 : 0,
    cellMin: TEXT_MIN + (settings.picture === 'left' ? THUMB + THUMB_GAP : 0),
    relief: settings.picture === 'left' ? 'put the picture on top' : undefined,
  }
}
