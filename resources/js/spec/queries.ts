import { useQuery } from '@tanstack/vue-query'
import { computed, toValue } from 'vue'
import { api, body } from '@/api/client'
import { keys, type Id } from '@/api/queries'

export const useSpecSheets = () =>
  useQuery({ queryKey: keys.specSheets, queryFn: () => body(api.GET('/api/spec-sheets')) })

export const useSpecSheet = (id: Id) =>
  useQuery({
    queryKey: computed(() => keys.specSheet(toValue(id))),
    // By the key: the sheet that is asked for may have become another since the key was made.
    queryFn: ({ queryKey: [, specSheet] }) =>
      body(api.GET('/api/spec-sheets/{specSheet}', { params: { path: { specSheet } } })),
  })
