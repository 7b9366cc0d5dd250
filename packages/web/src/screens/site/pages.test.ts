import { describe, expect, it } from 'vitest'
import type { InstallOnSite, SiteDetail } from '../../api/types'
import { covers, firstPage, installsOn, placementsOf } from './pages'

const page = (id: string, path: string) => ({ id, path, title: id, previewUrl: null })
const install = (id: string, pageId: string) => ({ id, pageId }) as InstallOnSite
const site = {
  pages: [
    page('every', '/*'),
    page('home', '/'),
    page('news', '/news'),
    page('story', '/news/one'),
    page('stories', '/news/*'),
  ],
  placements: [
    { id: 'shared', pageId: null },
    { id: 'own', pageId: 'home' },
  ],
  installs: [install('a', 'every'), install('b', 'home'), install('c', 'stories'), install('d', 'story')],
} as unknown as SiteDetail
const on = (id: string) =>
  installsOn(
    site,
    site.pages.find((p) => p.id === id)!,
  ).map((i) => i.id)

describe('patterns of paths', () => {
  it.each([
    ['/*', '/', true],
    ['/*', '/a/b', true],
    ['/news/*', '/news/one', true],
    ['/news/*', '/news', false],
    ['/news/*', '/newsletter', false],
    ['/news', '/news', true],
    ['/news', '/news/one', false],
  ])('%s holds %s: %s', (pattern, path, holds) => expect(covers(pattern, path)).toBe(holds))
})

describe('the page plan', () => {
  it('shows a page’s own installs and those of patterns that hold it', () => {
    expect(on('home')).toEqual(['a', 'b'])
    expect(on('story')).toEqual(['a', 'c', 'd'])
  })
  it('shows a pattern’s own alone', () => {
    expect(on('every')).toEqual(['a'])
    expect(on('stories')).toEqual(['c'])
  })
  it('has the shared placements and the page’s own', () => {
    expect(placementsOf(site, site.pages[1]!).map((p) => p.id)).toEqual(['shared', 'own'])
    expect(placementsOf(site, site.pages[2]!).map((p) => p.id)).toEqual(['shared'])
  })
  it('begins with the first plain page', () => {
    expect(firstPage(site)?.id).toBe('home')
    expect(firstPage({ ...site, pages: [page('every', '/*')] })?.id).toBe('every')
  })
})
