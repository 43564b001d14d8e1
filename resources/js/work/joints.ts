import { useQuery } from '@tanstack/vue-query'
import { computed, toValue } from 'vue'
import { api, body } from '@/api/client'
import { keys, type Id } from '@/api/queries'
import type { Joint } from '@/api/types'
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

/** What holds it on a row, and its tools, as the server says it; empty where nobody said. */
export function sayJoint(joint: Joint | undefined, row: number): string {
  const variants = joint?.variants ?? []
  const of = variants.find(({ rows }) => rows?.includes(row)) ?? variants.find(({ rows }) => (rows ?? []).length === 0)
  return [of?.pin, of?.tools].filter(Boolean).join('; ')
}
