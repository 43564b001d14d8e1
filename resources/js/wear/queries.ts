import { useQuery } from '@tanstack/vue-query'
import { computed, type MaybeRefOrGetter, toValue } from 'vue'
import { api, body } from '@/api/client'
import { keys, ofPlanter, type Id } from '@/api/queries'
import { placeOnly, type PlaceRef } from '@/api/types'

export const useForecast = (planter: Id) =>
  ofPlanter(keys.forecast, planter, (asked) => body(api.GET('/api/planters/{planter}/forecast', asked)))

export const useContact = (planter: Id) =>
  ofPlanter(keys.contact, planter, (asked) => body(api.GET('/api/planters/{planter}/contact', asked)))

export const useAcres = (planter: Id) =>
  ofPlanter(keys.acres, planter, (asked) => body(api.GET('/api/planters/{planter}/acres', asked)))

export const useWearChart = (planter: Id, place: MaybeRefOrGetter<PlaceRef>) =>
  useQuery({
    queryKey: computed(() => [...keys.forecast(toValue(planter)), 'chart', toValue(place)]),
    queryFn: () =>
      body(
        api.GET('/api/planters/{planter}/wear-chart', {
          params: { path: { planter: toValue(planter) }, query: placeOnly(toValue(place)) },
        }),
      ),
  })
