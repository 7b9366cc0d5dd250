import { SITE_TAG } from '@pebblestrand/contract'

/** Where on its page an install stands, as lists say it. */
export const placeSaid = ({ placement, kind }: { placement: string | null; kind: string }): string =>
  placement ?? (kind === SITE_TAG ? 'in the head' : 'over the page')
