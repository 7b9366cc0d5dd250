import { sources } from '../setting'

/** Where the items come from. `many` is what they are called. */
export const sourcesGroup = (many: string, most: number) => ({
  shape: { sources: sources(most, { label: 'Sources', paragraph: 'shows', before: ` ${many} from ` }) },
  sourceIds: ({ sources: ids }: { sources: string[] }): string[] => ids,
})
