import { useQuery } from '@tanstack/vue-query'
import { computed, toValue } from 'vue'
import { api, body } from '@/api/client'
import { keys, type Id, queries } from '@/api/queries'
import type { CheckKey, Manual } from '@/api/types'
import { remembered } from '@/offline/remember'

/** Megabytes of a manual, at most. */
export const MOST_MEGABYTES = 40

/** Those of a planter and of the sheets that its rows go by; without a signal, as they were last told. */
export const useManuals = (planter: Id) =>
  useQuery({
    queryKey: computed(() => keys.manuals(toValue(planter))),
    enabled: computed(() => toValue(planter) > 0),
    queryFn: ({ queryKey: [, planter] }) =>
      remembered(`manuals ${planter}`, (signal) =>
        body(api.GET('/api/planters/{planter}/manuals', { params: { path: { planter } }, signal })),
      ),
  })

export const useManualsOfSheet = (sheet: Id) =>
  useQuery({
    queryKey: computed(() => keys.manualsOfSheet(toValue(sheet))),
    queryFn: ({ queryKey: [, , specSheet] }) =>
      body(api.GET('/api/spec-sheets/{specSheet}/manuals', { params: { path: { specSheet } } })),
  })

/** The service worker keeps what was opened: it opens without a signal too. */
export const fileOf = (id: number, page?: number) =>
  `/api/manuals/${id}/file${page === undefined ? '' : `#page=${page}`}`

export async function addManual(file: File, of: { planter_id: number } | { spec_sheet_id: number }): Promise<void> {
  const form = new FormData()
  form.append('name', file.name.replace(/\.pdf$/i, '').slice(0, 80))
  for (const [name, value] of Object.entries(of)) form.append(name, String(value))
  form.append('file', file)
  await body(api.POST('/api/manuals', { body: form as never, bodySerializer: (form) => form as unknown as FormData }))
  await again()
}

export async function saveManual(manual: Manual, change: { name?: string; pages?: Manual['pages'] }): Promise<void> {
  const { id, name, pages, revision } = manual
  await body(
    api.PUT('/api/manuals/{manual}', { params: { path: { manual: id } }, body: { name, pages, revision, ...change } }),
  )
  await again()
}

/** Where in it a check is described; null takes the page away. */
export const notePage = (manual: Manual, check: CheckKey, page: number | null) => {
  const others = Object.entries(manual.pages).filter(([of]) => of !== check)
  return saveManual(manual, { pages: Object.fromEntries(page === null ? others : [...others, [check, page]]) })
}

export async function removeManual({ id }: Manual): Promise<void> {
  await body(api.DELETE('/api/manuals/{manual}', { params: { path: { manual: id } } }))
  if ('caches' in globalThis) await (await caches.open('manuals')).delete(fileOf(id))
  await again()
}

const again = () => queries.invalidateQueries({ queryKey: ['manuals'] })
