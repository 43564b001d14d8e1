import { nextTick, type Ref, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'

/**
 * Opens what the address asks for, as `?card=…`, once there is something to open it from, and takes the question out of the
 * address: going back does not ask again.
 */
export function useAsked(name: string, open: (key: string) => void, from?: Ref<unknown[]>): void {
  const route = useRoute()
  const router = useRouter()
  watch(
    [() => route.query[name], () => from === undefined || from.value.length > 0],
    ([key, isThere]) => {
      if (typeof key !== 'string' || !isThere) return
      open(key)
      void router.replace({ query: { ...route.query, [name]: undefined }, hash: route.hash })
    },
    { immediate: true },
  )
}

/** The line of a list that the address asks for, as `?lot=7` the line with the id `lot-7`: brought into view, to be marked. */
export function useMarked(name: string, list: Ref<unknown[]>): Ref<string | undefined> {
  const marked = ref<string>()
  useAsked(
    name,
    (key) => {
      marked.value = key
      void nextTick(() => document.getElementById(`${name}-${key}`)?.scrollIntoView({ block: 'center' }))
    },
    list,
  )
  return marked
}
