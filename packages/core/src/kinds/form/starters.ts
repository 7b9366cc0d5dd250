import { Field, type FormDefinition } from '../../forms'
import { paragraph } from '../../rich-text'
import { messageGroup } from '../groups'
import type { Starter } from '../kind'
import type { FormKindSettings } from './settings'

const field = (given: object): Field => Field.parse(given)
const steps = (...all: { title?: string; fields: Field[] }[]): FormDefinition => ({
  steps: all.map(({ title = '', fields }) => ({ title, fields })),
})

const email = field({ is: 'email', name: 'email', label: 'E-mail address', required: true })
const name = field({ is: 'short', name: 'name', label: 'Your name', required: true, most: 120 })
const consent = (label: string) => field({ is: 'consent', name: 'consent', label })

/** Real ones, as clients ask for them; the words are to be made the client's own. */
export const formStarters: Starter<FormKindSettings>[] = [
  {
    id: 'newsletter',
    name: 'Newsletter sign-up',
    settings: {
      heading: 'News, once a month',
      body: [paragraph('What is new, and when we are open. You can leave at any time.')],
      fields: steps({
        fields: [
          email,
          field({ is: 'short', name: 'first-name', label: 'First name', most: 80 }),
          consent('You may write to me once a month. I can take this back in every letter.'),
        ],
      }),
      formWords: { send: 'Sign me up', goOn: null, goBack: null, optional: null } as never,
      thanks: [paragraph('Thank you. The next letter comes to you.')],
    },
    delivery: { noteAgency: 'none', noteClient: 'daily' },
  },
  {
    id: 'call-back',
    name: 'Call me back',
    settings: {
      heading: 'Shall we call you?',
      fields: steps({
        fields: [
          name,
          field({ is: 'telephone', name: 'telephone', label: 'Telephone number', required: true }),
          field({
            is: 'one-of',
            name: 'when',
            label: 'When is it best?',
            required: true,
            options: [
              { value: 'morning', words: 'In the morning' },
              { value: 'afternoon', words: 'In the afternoon' },
              { value: 'evening', words: 'After five' },
            ],
          }),
          field({ is: 'long', name: 'about', label: 'What is it about?', rows: 3 }),
        ],
      }),
      formWords: { send: 'Call me back', goOn: null, goBack: null, optional: null } as never,
      thanks: [paragraph('Thank you. We call you within one working day.')],
    },
    delivery: { noteAgency: 'none', noteClient: 'each', keepDays: 90 },
  },
  {
    id: 'voucher',
    name: 'Voucher for an address',
    settings: {
      heading: 'Ten per cent off your first visit',
      body: [paragraph('Where may we send the code?')],
      fields: steps({
        fields: [
          email,
          consent('You may send me the code, and news from time to time. I can take this back at any time.'),
        ],
      }),
      formWords: { send: 'Send me the code', goOn: null, goBack: null, optional: null } as never,
      thanks: [paragraph('The code is on its way to you. Show it at the till.')],
      radius: 8,
    },
    delivery: {
      reply: true,
      replySubject: 'Your code for {site}',
      replyText: 'Thank you.\n\nYour code is {coupon}. Show it at the till.\n\n{site}',
      coupon: 'fixed',
      code: 'WELCOME-10',
      noteAgency: 'none',
    },
  },
  {
    id: 'table',
    name: 'Table booking wish',
    settings: {
      heading: 'Ask for a table',
      body: [paragraph('This is a wish: the table is yours once we have said yes.')],
      fields: steps(
        {
          title: 'When, and how many',
          fields: [
            field({
              is: 'date',
              name: 'day',
              label: 'Day',
              required: true,
              fromDays: 1,
              untilDays: 90,
              notOn: [1],
              width: 'half',
            }),
            field({
              is: 'one-of',
              name: 'hour',
              label: 'Hour',
              required: true,
              shown: 'list',
              width: 'half',
              options: ['12:00', '13:00', '18:00', '19:00', '20:00'].map((hour) => ({ value: hour, words: hour })),
            }),
            field({ is: 'number', name: 'guests', label: 'Guests', required: true, min: 1, max: 12, width: 'half' }),
            field({ is: 'tick', name: 'children', label: 'Children come along', width: 'half' }),
            field({
              is: 'number',
              name: 'high-chairs',
              label: 'High chairs',
              min: 0,
              max: 4,
              width: 'half',
              when: { field: 'children', is: ['yes'] },
            }),
          ],
        },
        {
          title: 'Who are you?',
          fields: [
            name,
            email,
            field({
              is: 'telephone',
              name: 'telephone',
              label: 'Telephone number',
              help: 'Only if something comes up on the day.',
            }),
            field({ is: 'long', name: 'wishes', label: 'Anything we should know?', rows: 3, most: 1000 }),
          ],
        },
      ),
      formWords: { send: 'Ask for the table', goOn: null, goBack: null, optional: null } as never,
      thanks: [paragraph('Thank you. We answer today.')],
    },
    delivery: {
      reply: true,
      replySubject: 'Your wish for a table, {day}',
      replyText: 'Hello {name},\n\nyou asked for a table on {day} at {hour}, for {guests}. We answer today.\n\n{site}',
      noteAgency: 'none',
      noteClient: 'each',
      keepDays: 90,
    },
  },
  {
    id: 'poll',
    name: 'One-question poll',
    settings: {
      heading: '',
      fields: steps({
        fields: [
          field({
            is: 'one-of',
            name: 'choice',
            label: 'Which evening suits you best?',
            required: true,
            options: [
              { value: 'thursday', words: 'Thursday' },
              { value: 'friday', words: 'Friday' },
              { value: 'saturday', words: 'Saturday' },
            ],
          }),
        ],
      }),
      results: true,
      formWords: { send: 'Vote', goOn: null, goBack: null, optional: null } as never,
      thanks: [paragraph('Thank you. This is how all have chosen so far:')],
      borderWidth: 1,
      radius: 6,
    },
    delivery: { noteAgency: 'none', keepDays: 30 },
  },
  {
    id: 'feedback',
    name: 'Feedback with stars',
    settings: {
      heading: 'How was your visit?',
      fields: steps({
        fields: [
          field({ is: 'rating', name: 'stars', label: 'Your visit', required: true }),
          field({
            is: 'long',
            name: 'better',
            label: 'What should we do better?',
            rows: 3,
            when: { field: 'stars', is: ['1', '2', '3'] },
          }),
          field({
            is: 'long',
            name: 'liked',
            label: 'What did you like?',
            rows: 3,
            when: { field: 'stars', is: ['4', '5'] },
          }),
          field({ is: 'email', name: 'email', label: 'E-mail address', help: 'Only if you would like an answer.' }),
        ],
      }),
      afterButton: [messageGroup.button('On to the page', 'address', '/')],
      thanks: [paragraph('Thank you for telling us.')],
    },
    delivery: { noteClient: 'daily' },
  },
]
