import type { Rule } from '../../sieve'
import type { Kind } from '../kind'
import { fitSpec } from './fit-spec'
import { headlinesHeight } from './height'
import { headlinesPayload, type HeadlinesPayload } from './payload'
import { HeadlinesSettings } from './settings'
import { headlinesStarters } from './starters'

export const headlines: Kind<HeadlinesSettings, HeadlinesPayload> = {
  id: 'headlines',
  name: 'Headlines',
  purpose: 'The newest entries of a news feed or blog, as a list or a grid.',
  settings: HeadlinesSettings,
  starters: headlinesStarters,
  noun: ['headline', 'headlines'],
  rules,
  order: (settings) => settings.order,
  fitSpec,
  colours: ({ text, background, accent }) => ({ text, background, accent }),
  payload: headlinesPayload,
  height: headlinesHeight,
}

function rules(settings: HeadlinesSettings): Rule[] {
  return [
    { kind: 'unique' },
    ...(settings.onlyWithPicture ? [{ kind: 'with-picture' } as const] : []),
    ...(settings.include.length ? [{ kind: 'include', words: settings.include } as const] : []),
    ...(settings.exclude.length ? [{ kind: 'exclude', words: settings.exclude } as const] : []),
    { kind: 'cap', most: settings.count },
  ]
}
