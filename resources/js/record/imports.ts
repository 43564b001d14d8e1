import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'
import { api, body, Refusal } from '@/api/client'
import { keys } from '@/api/queries'
import type { Import, ImportKind, ImportMapping, ImportMode, ImportNow } from '@/api/types'

/** How often it is asked how far an import is, in milliseconds: soon at first, for most files are short. */
const FIRST_LOOK_MS = 150
const LONGEST_LOOK_MS = 1_500
/** So often in a row the server may be out of reach: the import goes on without anybody looking. */
const MOST_MISSED = 20

/** What is to become of a file. */
export type Wish = {
  file: File
  kind: ImportKind
  mode: ImportMode
  mapping: ImportMapping | null
  /** Numbers of lines. */
  leaveOut: number[]
}

/** Files that were imported, or are on their way, newest first. */
export const useImports = (planter: () => number) =>
  useQuery({
    queryKey: computed(() => keys.imports(planter())),
    queryFn: () => body(api.GET('/api/planters/{planter}/imports', { params: { path: { planter: planter() } } })),
    staleTime: 0,
  })

export const isOver = ({ state }: Import): boolean => !['waiting', 'looking', 'taking'].includes(state)

/**
 * Sends a file up, to be worked on there.
 *
 * @throws Error with the reason in words
 */
export async function sendFile(planter: number, wish: Wish): Promise<ImportNow> {
  const form = new FormData()
  form.set('file', wish.file)
  form.set('kind', wish.kind)
  form.set('mode', wish.mode)
  form.set('leave_out', JSON.stringify(wish.leaveOut))
  if (wish.mapping) form.set('mapping', JSON.stringify(wish.mapping))
  return body(
    api
      .POST('/api/planters/{planter}/imports', {
        params: { path: { planter } },
        body: form as never,
        bodySerializer: (form) => form as unknown as FormData,
      })
      .catch((error: unknown) => {
        if (error instanceof Refusal) throw error
        throw new Error('The server does not answer. Nothing was imported; try again.')
      }),
  )
}

/**
 * Looks after an import until it is over, and tells how far it is.
 *
 * @throws Error with the reason in words
 */
export async function follow(
  planter: number,
  first: ImportNow,
  onProgress: (now: ImportNow) => void,
  isWanted: () => boolean,
): Promise<ImportNow> {
  let now = first
  let missed = 0
  for (let wait = FIRST_LOOK_MS; !isOver(now.import) && isWanted(); wait = Math.min(LONGEST_LOOK_MS, 1.5 * wait)) {
    onProgress(now)
    await new Promise((resolve) => setTimeout(resolve, wait))
    try {
      now = await body(
        api.GET('/api/planters/{planter}/imports/{import}', {
          params: { path: { planter, import: first.import.id } },
        }),
      )
      missed = 0
    } catch (error) {
      if ((error instanceof Refusal && error.status < 500) || ++missed >= MOST_MISSED)
        throw new Error('The server does not answer. The import continues there; check back later.')
    }
  }
  return now
}

/** Stops an import; what is on record by then stays there. */
export const cancel = (planter: number, { id }: Import): Promise<ImportNow> =>
  body(api.POST('/api/planters/{planter}/imports/{import}/cancel', { params: { path: { planter, import: id } } }))
