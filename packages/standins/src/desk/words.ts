import type { Site } from '../sites/site'

/** What each platform's desk calls its parts; a look of its own each. */
export interface DeskWords {
  desk: string
  pages: string
  shared: string
  /** Boxes of a region, by id, as labelled. */
  boxes: Record<string, string>
  save: string
  publish: string
  saved: string
  /** The link to the page as its editors have it. */
  preview: string
  published: string
  cacheMenu: string
  cacheButton: string
  cacheDone: string
  css: string
}

const handCoded: DeskWords = {
  desk: 'Editing desk',
  pages: 'Pages',
  shared: 'Every page',
  boxes: { code: 'Code box', visual: 'Visual text box' },
  save: 'Save',
  publish: 'Publish page',
  saved: 'Saved. Visitors do not see it yet.',
  preview: 'Preview that can be passed on',
  published: 'Published.',
  cacheMenu: 'Delivery',
  cacheButton: 'Empty page cache',
  cacheDone: 'The page cache is empty.',
  css: `body{margin:0;font:14px/1.5 Arial,Helvetica,sans-serif;background:#e9edf1;color:#222}
nav{background:#3c4a5a;padding:10px 20px;display:flex;gap:20px;align-items:center}nav a,nav b{color:#fff}nav form{margin-left:auto}
main{max-width:900px;margin:20px auto;background:#fff;border:1px solid #c3ccd5;padding:10px 28px 28px}
fieldset{border:1px solid #c3ccd5;margin:0 0 16px;display:grid;grid-template-columns:1fr 1fr;gap:14px}legend{font-weight:bold;text-transform:capitalize}
textarea{width:100%;height:110px;font:12px/1.4 "Liberation Mono",monospace}button{background:#2f6f3e;border:0;color:#fff;padding:8px 16px;font-size:14px;cursor:pointer}
button.second{background:#5b6877}.done{background:#e2f2e4;border-left:4px solid #2f6f3e;padding:8px 12px}.bad{background:#fbe6e4;border-left:4px solid #a33;padding:8px 12px}li{margin:6px 0}`,
}

const cms: DeskWords = {
  desk: 'Back room',
  pages: 'Content',
  shared: 'On all pages',
  boxes: { code: 'Markup block', filtered: 'Safe markup block', visual: 'Written block' },
  save: 'Keep changes',
  publish: 'Put online',
  saved: 'Kept for editors only.',
  preview: 'Look at the draft (link for others)',
  published: 'It is online.',
  cacheMenu: 'Upkeep',
  cacheButton: 'Forget stored pages',
  cacheDone: 'No stored pages are left.',
  css: `body{margin:0;font:15px/1.6 "Times New Roman",serif;background:#fff7e8;color:#40301c}
nav{border-bottom:3px double #b59a6a;padding:14px 40px;display:flex;gap:26px;align-items:center;background:#fffdf5}nav a{color:#7a3f10}nav form{margin-left:auto}
main{max-width:760px;margin:24px auto;padding:0 20px}fieldset{border:0;border-top:1px solid #d9c7a0;margin:0 0 20px;padding:12px 0}legend{font-size:20px;text-transform:capitalize;padding-right:12px}
label{display:block;margin:8px 0}textarea{width:100%;height:84px;border:1px solid #b59a6a;background:#fff}button{border:2px solid #7a3f10;background:#fff;color:#7a3f10;border-radius:18px;padding:6px 18px;font:inherit;cursor:pointer}
.done{font-style:italic;color:#356b2c}.bad{color:#a02020}`,
}

export const wordsFor = (site: Site): DeskWords => (site.platform === 'cms' ? cms : handCoded)
