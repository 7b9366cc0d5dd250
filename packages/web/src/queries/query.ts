import type { Answer, Route } from '@pebblestrand/contract'
import { keepPreviousData, QueryClient, useQuery } from '@tanstack/vue-query'
import { computed, toValue, type MaybeRefOrGetter } from 'vue'
import { ask, type Needed } from '../api/call'
import { ApiError, asApiError } from '../api/error'

/** What the server knows, as far as this page has asked. An answer belongs to what was asked: a late one never replaces another. */
export const queryClient = new QueryClient({
  defaultOptions: {
    queries: {
      staleTime: 2000,
      refetchOnWindowFocus: true,
      // What the server refuses, it refuses again; a lost connection may be back.
      retry: (failures, error) => failures < 1 && !(error instanceof ApiError && error.status >= 400),
    },
  },
})

interface How<R extends Route> {
  /** Asked only while this holds. */
  when?: MaybeRefOrGetter<boolean>
  /** The last answer stays in sight while the next is fetched: for lists that are filtered. */
  keep?: boolean
  /** Asked again after so many ms; 0 not at all. */
  again?: (answer: Answer<R> | undefined) => number
}

/** The answer of a reading route, kept and shared by all who ask the same, and asked anew when what is asked changes. */
export function useAsk<R extends Route>(route: R, asked: () => Needed<R>, how: How<R> = {}) {
  const query = useQuery({
    queryKey: computed(() => [route.path, asked()]),
    queryFn: ({ queryKey, signal }) => ask(route, queryKey[1] as Needed<R>, signal),
    enabled: computed(() => toValue(how.when) ?? true),
    placeholderData: how.keep ? (keepPreviousData as never) : undefined,
    refetchInterval: (state) => how.again?.(state.state.data as Answer<R> | undefined) || false,
  })
  return {
    data: computed(() => query.data.value as Answer<R> | undefined),
    /** Only where there is nothing to show instead. */
    error: computed(() => (query.error.value && query.data.value === undefined ? asApiError(query.error.value) : null)),
    refetch: () => query.refetch(),
  }
}

/** An answer that a change has brought along. */
export const put = <R extends Route>(route: R, asked: Needed<R>, answer: Answer<R>) =>
  queryClient.setQueryData([route.path, asked], answer)

/** What the server knows of these routes has changed: what is in sight is asked anew, the rest when it is next looked at. */
export const changed = (...routes: Route[]): Promise<void> =>
  queryClient.invalidateQueries({ predicate: ({ queryKey }) => routes.some((route) => route.path === queryKey[0]) })

/** Everything: after what touches many subjects at once. */
export const everythingChanged = () => queryClient.invalidateQueries()
