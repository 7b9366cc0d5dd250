import type { PlatformProfile } from './profile'
import { box, headBox, keepsAll } from './treatments'

export const cmsModules: PlatformProfile = {
  id: 'cms-modules',
  name: 'CMS with module positions',
  boxes: [
    box({
      id: 'raw',
      name: 'Raw module',
      places: ['header', 'main', 'sidebar', 'footer'],
      treats: keepsAll,
      note: 'A module shows at one position, on the pages it is assigned to, and only while its switch is on.',
    }),
    box({
      id: 'words',
      name: 'Words module',
      places: ['header', 'sidebar', 'footer'],
      treats: { ...keepsAll, script: 'strips', frame: 'strips', style: 'strips', address: 'links' },
      note: 'It takes scripts, frames and styles out.',
    }),
    box({
      id: 'article',
      name: 'Article text',
      places: ['main'],
      treats: { ...keepsAll, script: 'strips', data: 'strips', address: 'links' },
      note: 'It takes scripts and data attributes out.',
    }),
    headBox('Template, head lines'),
  ],
  publishing: 'by page',
  caches: [
    { id: 'pages', name: 'page cache', clears: 'by hand' },
    { id: 'modules', name: 'module cache', clears: 'by hand' },
  ],
  navigation: 'loads',
  connector: false,
  policy: null,
  steps: [
    { id: 'open', does: 'Sign in, then **Modules › New**, and choose **{box}**.' },
    { id: 'paste', does: 'Paste into it. Position: **{region}**; pages: only **{page}**; switch **Shown** on.' },
    { id: 'save', does: 'Press **Store**.' },
    { id: 'publish', does: 'Press **Release changes** for {page}.' },
    { id: 'cache', does: 'Clear both caches: **System › Stores › Pages and modules**. {cache}' },
    { id: 'look', does: 'Look at the page signed out.' },
  ],
  signs: [
    { of: 'address', like: '*/modules/mod_*', says: 'a folder of modules that its pages load from' },
    { of: 'address', like: '*/templates/*/*', says: 'a folder of templates that its pages load from' },
    { of: 'address', like: '*/components/com_*', says: 'a folder of components that its pages load from' },
    { of: 'address', like: '*index.php?option=*', says: 'addresses that name a component as their option' },
    { of: 'name', like: 'moduletable*', says: 'boxes around its modules' },
  ],
  words: {
    publish: 'open the module, see that its switch is on and it is assigned to the page, and press Release changes',
    cache: 'under System › Stores, empty pages and modules',
    codeBox: 'a Raw module',
  },
}
