import type { Chapter, Outcome } from './chapters'
import type { Desks } from './desk'

/** What an outcome is brought about with. `boxes` remembers what stands in a page's boxes, as an editor's screen does. */
export interface Scene extends Chapter {
  desks: Desks
  snippet: string
  otherSnippet: string
  /** The editor's box that advice names, as the desk names its field. */
  box: string
  boxes: Record<string, string>
}

const add = (scene: Scene, box: string, text: string) => {
  scene.boxes[box] = [scene.boxes[box], text].filter(Boolean).join('\n')
}

/** Pastes, publishes, clears the cache: everything right. */
async function pasteWell(scene: Scene, box: string, text: string): Promise<void> {
  add(scene, box, text)
  await scene.desks.publish(scene.site, scene.page, scene.boxes)
  await scene.desks.emptyCache(scene.site)
}

const inPlace = (scene: Scene, box = scene.box) => `${scene.region}.${box}`

/** For each outcome what was done at the desk. `planned` and `retired` need nothing here. */
export const bringAbout: Record<Exclude<Outcome, 'planned'>, (scene: Scene) => Promise<void>> = {
  confirmed: (scene) => pasteWell(scene, inPlace(scene), scene.snippet),
  pasted: (scene) => pasteWell(scene, inPlace(scene), scene.snippet),
  retired: (scene) => pasteWell(scene, inPlace(scene), scene.snippet),
  absent: (scene) => pasteWell(scene, 'main.visual', 'The doors open at seven.'),
  unpublished: async (scene) =>
    void (await scene.desks.save(scene.site, scene.page, { ...scene.boxes, [inPlace(scene)]: scene.snippet })),
  'signed-in-only': async (scene) =>
    void (await scene.desks.save(scene.site, scene.page, { ...scene.boxes, [inPlace(scene)]: scene.snippet })),
  'broken-link': (scene) => pasteWell(scene, inPlace(scene), scene.snippet),
  'cached-copy': async (scene) => {
    await scene.desks.visit(scene.site, scene.page)
    add(scene, inPlace(scene), scene.snippet)
    await scene.desks.publish(scene.site, scene.page, scene.boxes)
  },
  'shown-as-text': (scene) => pasteWell(scene, inPlace(scene, 'visual'), scene.snippet),
  'shortcode-raw': (scene) => pasteWell(scene, inPlace(scene), scene.snippet),
  'link-only': (scene) =>
    pasteWell(scene, inPlace(scene, 'code'), `<p><a href="${scene.snippet}">${scene.snippet}</a></p>`),
  inert: (scene) => pasteWell(scene, inPlace(scene), `<template>\n${scene.snippet}</template>`),
  'other-widget': (scene) => pasteWell(scene, inPlace(scene), scene.otherSnippet),
  'wrong-placement': (scene) =>
    pasteWell(scene, `${scene.region === 'main' ? 'sidebar' : 'main'}.${scene.box}`, scene.snippet),
  double: (scene) => pasteWell(scene, inPlace(scene), `${scene.snippet}\n${scene.snippet}`),
  'wrong-host': (scene) =>
    pasteWell(scene, inPlace(scene), scene.snippet.replace(/http:\/\/localhost:\d+/g, 'https://old-strand.example')),
  'script-stripped': (scene) => pasteWell(scene, inPlace(scene, 'filtered'), scene.snippet),
  'no-width': (scene) => pasteWell(scene, inPlace(scene), scene.snippet.replace(/\n *width="\d+"/, '\n ')),
  blocked: async (scene) => {
    await pasteWell(scene, inPlace(scene), scene.snippet)
    await scene.desks.trouble(scene.site, scene.page, { kind: 'policy', policy: "default-src 'self'; img-src *" })
  },
  'script-error': (scene) =>
    pasteWell(scene, inPlace(scene), `<script>window.fetch = undefined</script>\n${scene.snippet}`),
  empty: (scene) => pasteWell(scene, inPlace(scene), scene.snippet),
  overflow: (scene) =>
    pasteWell(scene, inPlace(scene), `<div style="width: 120px; white-space: nowrap">\n${scene.snippet}</div>`),
  // What an optimiser kept of a page: the widget as it was then, marked as done.
  'old-release': (scene) =>
    pasteWell(
      scene,
      inPlace(scene),
      scene.snippet.replace(
        /<div (data-pebblestrand="[^"]*")([^>]*)>/,
        '<div $1 data-pebblestrand-release="1" data-pebblestrand-seen$2>',
      ),
    ),
  hidden: (scene) => pasteWell(scene, inPlace(scene), `<div style="display: none">\n${scene.snippet}</div>`),
  moved: async (scene) => {
    await pasteWell(scene, inPlace(scene), scene.snippet)
    await scene.desks.trouble(scene.site, scene.page, { kind: 'moved', to: '/hire' })
  },
  unreachable: async (scene) => {
    await pasteWell(scene, inPlace(scene), scene.snippet)
    await scene.desks.trouble(scene.site, scene.page, { kind: 'error', status: 503 })
  },
}
