import createClient, { type Middleware } from 'openapi-fetch'
import type { paths } from '../../api/schema'

/** The server said no, in words for the technician. */
export class Refusal extends Error {
  constructor(
    readonly status: number,
    message: string,
    readonly errors: Record<string, string[]> = {},
  ) {
    super(message)
  }

  /** The session has ended; signing in again heals it. */
  get isSignedOut(): boolean {
    return this.status === 401 || this.status === 419
  }

  /** The first message about a field, by its dotted name. */
  about(field: string): string | undefined {
    return this.errors[field]?.[0]
  }
}

function cookie(name: string): string | undefined {
  const found = document.cookie.split('; ').find((entry) => entry.startsWith(`${name}=`))
  return found && decodeURIComponent(found.slice(name.length + 1))
}

/** Who this page speaks for; the server refuses it where somebody else has signed in meanwhile, in another tab. */
let speaker: number | undefined

export function speakAs(user: number | undefined): void {
  speaker = user
}

const session: Middleware = {
  async onRequest({ request }) {
    request.headers.set('Accept', 'application/json')
    if (speaker !== undefined) request.headers.set('X-Ustrel-User', String(speaker))
    if (request.method === 'GET') return
    if (cookie('XSRF-TOKEN') === undefined) await fetch('/sanctum/csrf-cookie')
    request.headers.set('X-XSRF-TOKEN', cookie('XSRF-TOKEN') ?? '')
  },
  async onResponse({ response }) {
    // Nothing new is an answer; and a lone conflict answers with receipts, as every batch does.
    if (response.ok || response.status === 304 || (response.status === 409 && response.url.endsWith('/readings')))
      return
    const body = (await response.json().catch(() => ({}))) as {
      message?: string
      errors?: Record<string, string[]>
      changed?: string[]
    }
    const message = body.message ?? `The server answered ${response.status}.`
    // What somebody else has changed meanwhile is marked at its field, as what is wrong is.
    const changed = body.changed && Object.fromEntries(body.changed.map((field) => [field, [message]]))
    throw new Refusal(response.status, message, body.errors ?? changed)
  },
}

export const api = createClient<paths>({ baseUrl: '/' })
api.use(session)

/** Gets a fresh session token, for after the old session has ended. */
export async function renewToken(): Promise<void> {
  await fetch('/sanctum/csrf-cookie')
}

/** The body of an answer that the middleware has let through. */
export async function body<T>(answer: Promise<{ data?: T }>): Promise<T> {
  return (await answer).data as T
}
