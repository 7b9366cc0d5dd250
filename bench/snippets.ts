import { advise, type Setting } from '@pebblestrand/core/advice'
import { methods } from '@pebblestrand/core/methods'
import { profileList, regionIds } from '@pebblestrand/core/platforms'
import { compared, type Ratio } from './stand'

const origin = 'https://strand.example'
const INSTALLS = 10_000

const installs = Array.from({ length: INSTALLS }, (_, at) => ({
  profile: profileList[at % profileList.length]!,
  setting: {
    origin,
    region: regionIds[at % regionIds.length]!,
    behaviours: at % 3 ? ['enlarge'] : [],
    connector: at % 2 === 0,
    tag: at % 5 ? 'none' : 'confirmed',
    selector: at % 7 === 0,
    refused: () => null,
  } satisfies Setting,
  request: {
    origin,
    publicId: `pk7h2-mq9xv-${at}`,
    name: `Harbour news ${at}`,
    agency: 'Tern & Tiller Web Care',
    width: 300,
    height: 400,
  },
}))

/** Which method into which box, and its exact text, for 10,000 installs, against writing all of that as JSON. */
export function advicesAndTexts(): Ratio {
  const told = () =>
    installs.map(({ profile, setting, request }) => {
      const advice = advise(profile, setting)
      return { advice, text: methods[advice.best.method].text(request) }
    })
  const all = told()
  const { one, other, ratio } = compared(told, () => JSON.stringify(all))
  return {
    name: 'advice and text for 10,000 installs',
    measured: `${one.toFixed(1)} ms`,
    against: `writing them as JSON: ${other.toFixed(1)} ms`,
    ratio,
    wants: { most: 8 },
  }
}
