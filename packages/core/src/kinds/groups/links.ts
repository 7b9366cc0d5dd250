import { itemLinks } from '../setting'

interface OwnLinks {
  ownLinks: { id: string; url: string }[]
}

/** Where clicks on single items lead instead of to the original. */
export const ownLinksGroup = (one: string) => ({
  shape: {
    ownLinks: itemLinks(
      { most: 100, one, none: 'none' },
      {
        label: 'Own links',
        paragraph: 'click',
        before: '; own links for ',
        when: (s) => (s.ownLinks as unknown[]).length > 0,
      },
    ),
  },
  /** By the item's id; null where it has none of its own. */
  linkOf: ({ ownLinks }: OwnLinks, id: string): string | null => ownLinks.find((own) => own.id === id)?.url || null,
})
