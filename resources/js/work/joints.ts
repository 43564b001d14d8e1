import { useQuery } from '@tanstack/vue-query'
import { computed, toValue } from 'vue'
import { api, body } from '@/api/client'
import { keys, type Id } from '@/api/queries'
import { remembered } from '@/offline/remember'

/** What holds what comes off on a planter; without a signal, as it was last told. */
export const useJoints = (planter: Id) =>
  useQuery({
    queryKey: computed(() => keys.joints(toValue(planter))),
    queryFn: ({ queryKey: [, planter] }) =>
      remembered(`joints ${planter}`, (signal) =>
        body(api.GET('/api/planters/{planter}/joints', { params: { path: { planter } }, signal })),
      ),
  })
