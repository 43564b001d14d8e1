import { execFileSync } from 'node:child_process'
import { expect, type Page } from '@playwright/test'

export const WREN = { email: 'wren@tollgate.example', password: 'tollgate-rows' }

export async function signIn(page: Page, email = WREN.email, password = WREN.password): Promise<void> {
  await page.goto('/sign-in')
  await page.getByLabel('Email').fill(email)
  await page.getByLabel('Password').fill(password)
  await page.getByRole('button', { name: 'Sign in' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText(/Tollgate|Lowmoor/)
}

/** Calls the API as the signed-in page would. */
export async function call<T>(
  page: Page,
  method: string,
  path: string,
  data?: unknown,
): Promise<{ status: number; body: T }> {
  const cookies = await page.context().cookies()
  const token = cookies.find((cookie) => cookie.name === 'XSRF-TOKEN')?.value ?? ''
  const answer = await page.request.fetch(path, {
    method,
    data,
    headers: {
      Accept: 'application/json',
      Referer: process.env.BASE_URL as string,
      'X-XSRF-TOKEN': decodeURIComponent(token),
    },
  })
  return { status: answer.status(), body: (await answer.json().catch(() => null)) as T }
}

type Made = { id: number }

/** A planter of its own for a test, and a walk opened on it. */
export async function planterWithWalk(
  page: Page,
  name: string,
  rows: number,
): Promise<{ planter: number; walk: string }> {
  const sheets = await call<{ id: number; type: string }[]>(page, 'GET', '/api/spec-sheets')
  const vacuum = sheets.body.find((sheet) => sheet.type === 'vacuum') as { id: number }
  const form = { farm: 'Test Field', name, row_count: rows, spacing: '30 in', spec_sheet_id: vacuum.id }
  const planter = (await call<Made>(page, 'POST', '/api/planters', form)).body.id
  const start = { kind: 'pre_season', order: 'row_by_row' }
  const walk = (await call<{ id: string }>(page, 'POST', `/api/planters/${planter}/walks`, start)).body.id
  return { planter, walk }
}

/** Runs one of the server's steps in bin/lib, as pg_stop or fpm_start. */
export function server(commands: string): void {
  const script = `set -euo pipefail; ROOT=$USTREL_ROOT; STATE=$USTREL_STATE; . "$ROOT/bin/lib/common.sh"; ${commands}`
  execFileSync('bash', ['-c', script], { stdio: ['ignore', 'ignore', 'inherit'] })
}
