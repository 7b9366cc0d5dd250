import type { SourceFault } from '../reading'

const byStatus: Record<number, SourceFault> = {
  403: {
    code: 'not-its-owner',
    message: 'The connected account does not own this place.',
    remedy: 'Connect the account that does, or read it without one.',
  },
  404: {
    code: 'gone',
    message: 'The service knows no such place any more.',
    remedy: 'Look the place up there: it may have been merged with another.',
  },
}

/** What a refusal of the review service means for a place. */
export const placeFault = (status: number): SourceFault | undefined => byStatus[status]
