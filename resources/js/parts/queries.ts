import { keepPreviousData, useQuery } from '@tanstack/vue-query'
import { computed, type MaybeRefOrGetter, toValue } from 'vue'
import { api, body } from '@/api/client'
import { keys, kept, ofPlanter, type Id } from '@/api/queries'
import { remembered } from '@/offline/remember'

export const useLedger = (planter: Id) =>
  ofPlanter(keys.ledger, planter, (asked) => body(api.GET('/api/planters/{planter}/ledger', asked)))

export const usePartTypes = () =>
  useQuery({
    queryKey: keys.partTypes,
    queryFn: () => remembered(kept(keys.partTypes), (signal) => body(api.GET('/api/part-types', { signal }))),
  })

/** The shelf, held against what was decided. */
export const useStore = () =>
  useQuery({
    queryKey: keys.store,
    queryFn: () => remembered(kept(keys.store), (signal) => body(api.GET('/api/store', { signal }))),
  })

export const useSuppliers = () => useQuery({ queryKey: keys.suppliers, queryFn: () => body(api.GET('/api/suppliers')) })

export const useOrders = () => useQuery({ queryKey: keys.orders, queryFn: () => body(api.GET('/api/orders')) })

export const usePartLives = (type: Id, against: MaybeRefOrGetter<number | undefined>) =>
  useQuery({
    queryKey: computed(() => [...keys.partTypes, toValue(type), 'lives', toValue(against)]),
    queryFn: () =>
      body(
        api.GET('/api/part-types/{partType}/lives', {
          params: { path: { partType: toValue(type) }, query: { against: toValue(against) } },
        }),
      ),
    placeholderData: keepPreviousData,
  })
