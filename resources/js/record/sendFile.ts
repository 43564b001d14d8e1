import type { ImportKind, ImportMapping, ImportProgress, ImportResult } from '@/api/types'
import { useSession } from '@/session'

export type Mode = 'preview' | 'whole' | 'good'
type Said = ImportProgress | { result: ImportResult } | { refused: string }

/** The lines of an answer as they come, each an object. */
export async function* linesOf(stream: ReadableStream<Uint8Array>): AsyncGenerator<Said> {
  const reader = stream.getReader()
  const decoder = new TextDecoder()
  let rest = ''
  for (;;) {
    const { done, value } = await reader.read()
    rest += decoder.decode(value, { stream: !done })
    const lines = rest.split('\n')
    rest = lines.pop() ?? ''
    for (const line of lines.filter(Boolean)) yield JSON.parse(line) as Said
    if (done) return
  }
}

function cookie(name: string): string {
  const found = document.cookie.split('; ').find((entry) => entry.startsWith(`${name}=`))
  return found ? decodeURIComponent(found.slice(name.length + 1)) : ''
}

/**
 * Sends a file up and tells how far its reading is.
 *
 * @throws Error with the reason in words
 */
export async function sendFile(
  planter: number,
  file: File,
  kind: ImportKind,
  mode: Mode,
  mapping: ImportMapping | null,
  leaveOut: number[],
  onProgress: (progress: ImportProgress) => void,
): Promise<ImportResult> {
  const form = new FormData()
  form.set('file', file)
  form.set('kind', kind)
  form.set('mode', mode)
  form.set('leave_out', JSON.stringify(leaveOut))
  if (mapping) form.set('mapping', JSON.stringify(mapping))
  const answer = await fetch(`/api/planters/${planter}/imports`, {
    method: 'POST',
    body: form,
    headers: {
      Accept: 'application/json',
      'X-XSRF-TOKEN': cookie('XSRF-TOKEN'),
      'X-Ustrel-User': String(useSession().me?.id ?? ''),
    },
  }).catch(() => {
    throw new Error('The server does not answer. Nothing was imported; try again.')
  })
  if (!answer.ok || answer.body === null) {
    const said = (await answer.json().catch(() => ({}))) as { message?: string }
    throw new Error(said.message ?? `The server answered ${answer.status}.`)
  }
  for await (const said of linesOf(answer.body)) {
    if ('refused' in said) throw new Error(said.refused)
    if ('result' in said) return said.result
    onProgress(said)
  }
  throw new Error('The connection broke off. Look at what was kept, and send the file again: nothing comes twice.')
}
