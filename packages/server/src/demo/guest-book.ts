import type { TypedReview } from '@pebblestrand/contract'

const written = (
  date: string,
  author: string,
  rating: number | null,
  text: string,
  more: Partial<TypedReview> = {},
) => ({
  key: null,
  author,
  date,
  rating,
  title: '',
  text,
  reply: '',
  language: 'en',
  labels: [],
  ...more,
})

/** A page of the museum's guest book, as somebody typed it. All invented. */
export const guestBook: TypedReview[] = [
  written('2026-10-03', 'Tilda, aged 9', null, 'I can tie a bowline now and my brother can not.', {
    labels: ['children'],
  }),
  written('2026-10-05', 'H. and M. Orme', 5, 'We came to get out of the rain and missed our boat for the splices.'),
  written('2026-10-11', 'The Tarnside knitting circle', 5, 'Rope is only wool with ambitions.', {
    reply: 'You are welcome to borrow this for our sign.',
  }),
  written('2026-10-18', 'Joost Dekker', 4, 'Klein museum, groot hart.', { language: 'nl' }),
  written('2026-10-24', 'a sailor', 3, 'The bell rings at odd hours.'),
]
