import { methodIds, methods, type Method } from './method'
import type { EditorBox, PlatformProfile } from './profiles'
import type { Region } from './region'

export interface MethodAdvice {
  method: Method
  /** The editor's box that takes it; null where none does. */
  box: EditorBox | null
  why: string
}
export interface Advice {
  best: MethodAdvice
  others: MethodAdvice[]
}

/** From profile and region: which method to take, why, and why not the others. A script gives more than a frame, so it goes first. */
export function advise(profile: PlatformProfile, region: Region): Advice {
  const rated = methodIds.map((method) => ({ method, box: boxFor(profile, region, method) }))
  const best = rated.find((r) => r.box) ?? rated[rated.length - 1]!
  return {
    best: {
      ...best,
      why: best.box
        ? whyTaken(best.method, best.box, region)
        : `no box of this editor's ${region} keeps it; ask for one that takes HTML`,
    },
    others: rated.filter((r) => r !== best).map((r) => ({ ...r, why: whyNot(r.method, r.box, region) })),
  }
}

/** The first box of the editor, in its own order, that keeps what the method needs. */
export function boxFor(profile: PlatformProfile, region: Region, method: Method): EditorBox | null {
  return profile.boxes.find((box) => box.regions.includes(region) && keeps(box, method)) ?? null
}

const keeps = (box: EditorBox, method: Method) =>
  method === 'inline' ? box.keeps.element && box.keeps.script : box.keeps.frame

function whyTaken(method: Method, box: EditorBox, region: Region): string {
  if (method === 'inline')
    return `the ${box.name.toLowerCase()} of this site's ${region} keeps scripts, and so ${methods.inline.gives}`
  return `no box of this site's ${region} keeps scripts, but the ${box.name.toLowerCase()} keeps frames: ${methods.frame.gives}`
}

function whyNot(method: Method, box: EditorBox | null, region: Region): string {
  if (!box)
    return method === 'inline'
      ? `no box of this site's ${region} keeps scripts`
      : `no box of this site's ${region} keeps frames`
  if (method === 'frame')
    return "a frame works here too, but its height is fixed: a longer list scrolls inside it, and it cannot take the page's own font"
  return `it works here too: ${methods.inline.gives}`
}
