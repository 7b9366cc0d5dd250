import type { PlatformProfile } from './profile'

export const cmsShortcodes: PlatformProfile = {
  id: 'cms-shortcodes',
  name: 'CMS with plugins and shortcodes',
  boxes: [
    {
      id: 'code',
      name: 'Markup block',
      regions: ['header', 'main', 'sidebar', 'footer'],
      keeps: { element: true, script: true, frame: true },
      otherwise: 'strips',
    },
    {
      id: 'filtered',
      name: 'Safe markup block',
      regions: ['main', 'sidebar'],
      keeps: { element: true, script: false, frame: true },
      otherwise: 'strips',
    },
    {
      id: 'visual',
      name: 'Written block',
      regions: ['main', 'sidebar', 'footer'],
      keeps: { element: false, script: false, frame: false },
      otherwise: 'escapes',
    },
  ],
  steps: [
    { id: 'open', does: 'Sign in, then **Content › {page}**.' },
    {
      id: 'paste',
      does: 'Under **{region}**, paste into the **{box}**. The written block shows code as text; the safe one takes scripts out.',
    },
    { id: 'save', does: 'Press **Keep changes**. They are kept for editors only.' },
    { id: 'publish', does: 'Press **Put online**.' },
    { id: 'cache', does: 'Clear the cache: **Upkeep › Forget stored pages**. {cache}' },
    { id: 'look', does: 'Look at the page signed out.' },
  ],
  signs: [
    { of: 'address', like: /\/plugins\/[\w-]+\//i, says: 'a folder of plugins that its pages load from' },
    { of: 'address', like: /\/themes\/[\w-]+\//i, says: 'a folder of themes that its pages load from' },
    { of: 'generator', like: /\S/, says: 'the program its pages say they were written by' },
  ],
  words: {
    publish: 'open the page under Content and press Put online',
    cache: 'under Upkeep › Forget stored pages',
    codeBox: 'the Markup block',
  },
}
