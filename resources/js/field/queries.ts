import { keepPreviousData, useQuery } from '@tanstack/vue-query'
import { computed, type MaybeRefOrGetter, toValue } from 'vue'
import { api, body } from '@/api/client'
import { kept, keys, ofPlanter, type Id } from '@/api/queries'
import type { Settings } from '@/api/types'
import type { Units } from '@/measure/length'
import { remembered } from '@/offline/remember'

export type Ground = Settings['grounds'][number]

/** What is set on a planter, what was, and what the ground brings back; the device's own copy stands in without a signal. */
export const useSettings = (planter: Id, ground: MaybeRefOrGetter<Ground>) =>
  useQuery({
    queryKey: computed(() => [...keys.settings(toValue(planter)), toValue(ground)]),
    queryFn: ({ queryKey }) => {
      const { field, crop, soil, residue } = toValue(ground)
      const query = { field, crop, ...(soil ? { soil } : {}), ...(residue ? { residue } : {}) }
      const params = { path: { planter: toValue(planter) }, query }
      return remembered(kept([...queryKey.slice(0, 2), field, crop, soil, residue]), (signal) =>
        body(api.GET('/api/planters/{planter}/settings', { params, signal })),
      )
    },
    // The form that asks for another ground stays while it is asked for.
    placeholderData: keepPreviousData,
  })

/** The calculators, filled with what the record knows. */
export const useCalculators = (planter: Id, units: MaybeRefOrGetter<Units>) =>
  useQuery({
    queryKey: computed(() => [...keys.settings(toValue(planter)), 'calculators', toValue(units)]),
    queryFn: () =>
      body(
        api.GET('/api/planters/{planter}/calculators', {
          params: { path: { planter: toValue(planter) }, query: { units: toValue(units) } },
        }),
      ),
  })

/** What came up, field by field. */
export const useEmergence = (planter: Id) =>
  ofPlanter(keys.emergence, planter, (asked) => body(api.GET('/api/planters/{planter}/emergence', asked)))

/** What was dug this season, pass by pass. */
export const useFirstPass = (planter: Id) =>
  ofPlanter(keys.firstPass, planter, (asked) => body(api.GET('/api/planters/{planter}/first-pass', asked)))
