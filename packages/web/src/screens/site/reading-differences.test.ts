import { describe, expect, it } from 'vitest'
import type { Placement, SiteDetail } from '../../api/types'
import type { ReadRoom, SiteRead } from '../../queries/site-readings'
import { differences, takenOver } from './reading-differences'

const placement = (more: Partial<Placement>): Placement => ({
  id: 'p-main',
  pageId: null,
  name: 'main',
  region: 'main',
  width: 720,
  widthTablet: null,
  widthPhone: null,
  known: 'assumed',
  widthSeen: null,
  selector: null,
  ...more,
})
const room = (more: Partial<ReadRoom>): ReadRoom => ({
  region: 'main',
  name: 'main',
  widths: { desktop: 356, tablet: 356, phone: 350 },
  box: null,
  mark: null,
  on: null,
  measured: true,
  ...more,
})
const site = (placements: Placement[]) =>
  ({
    platform: { id: 'hand-coded', name: 'Hand-coded HTML' },
    cacheMinutes: 0,
    language: null,
    pages: [{ id: '1', title: 'Home', path: '/' }],
    placements,
  }) as unknown as SiteDetail
const read = (rooms: ReadRoom[], more: Partial<SiteRead> = {}) =>
  ({
    platform: { value: 'hand-coded', from: null },
    cacheMinutes: { value: 0, from: 'two looks' },
    language: null,
    pages: [{ path: '/', title: 'Home', from: 'its address' }],
    rooms,
    ...more,
  }) as unknown as SiteRead
const found = (placements: Placement[], rooms: ReadRoom[], more = {}) =>
  differences(site(placements), read(rooms, more), (id) => id)

describe('what a new reading says otherwise', () => {
  it('is nothing where all is as it was measured', () =>
    expect(found([placement({ width: 350, widthTablet: 356, widthPhone: 350, known: 'read' })], [room({})])).toEqual(
      [],
    ))
  it('is a width that was assumed, wanted at once', () =>
    expect(found([placement({})], [room({})])).toMatchObject([
      { label: 'Region main', was: '720 px, assumed', now: '356 px, tablet 356 px, phone 350 px', wanted: true },
    ]))
  it('is a width that a person wrote, left unless it is chosen', () =>
    expect(found([placement({ known: 'noted' })], [room({})])[0]).toMatchObject({
      was: '720 px, written by a person',
      wanted: false,
    }))
  it('is a region that is new, and pages that are', () =>
    expect(
      found(
        [placement({ known: 'read', width: 356, widthTablet: 356, widthPhone: 350 })],
        [room({}), room({ region: 'sidebar', name: 'sidebar' })],
        {
          pages: [
            { path: '/', title: 'Home', from: 'its address' },
            { path: '/news', title: 'News', from: 'its navigation' },
            { path: '/x', title: 'X', from: 'its site map' },
          ],
        },
      ).map(({ label, wanted }) => [label, wanted]),
    ).toEqual([
      ['Region sidebar', true],
      ['Page News', true],
      ['Page X', false],
    ]))
  it('is nothing that was only assumed by the reading itself', () =>
    expect(found([placement({ known: 'read', width: 500 })], [room({ measured: false })])).toEqual([]))
  it('is taken over as one call', () => {
    const all = found([placement({})], [room({})], {
      cacheMinutes: { value: 60, from: 'its headers' },
      language: { value: 'en', from: 'its lang' },
    })
    expect(
      takenOver(
        'r1',
        all.map(({ take }) => take),
      ),
    ).toEqual({
      readingId: 'r1',
      cacheMinutes: 60,
      language: 'en',
      pages: [],
      rooms: [
        {
          placementId: 'p-main',
          name: 'main',
          region: 'main',
          on: null,
          width: 356,
          widthTablet: 356,
          widthPhone: 350,
          known: 'read',
        },
      ],
    })
  })
})
