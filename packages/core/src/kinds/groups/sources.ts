import { sources } from '../setting'

/**
 * Where the items come from. `many` is what they are called.
 * @param before the words before them in the brief, where these are not " reviews from "
 */
export const sourcesGroup = (many: string, most: number, before = ` ${many} from `) => ({
  shape: { sources: sources(most, { label: 'Sources', paragraph: 'shows', before }) },
  sourceIds: ({ sources: ids }: { sources: string[] }): string[] => ids,
})
