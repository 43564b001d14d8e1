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

/** On the screen that starts a walk: only the two blades and their contact. */
export async function startMeasuring(page: Page): Promise<void> {
  const station = (name: string) =>
    page.getByRole('group', { name: 'Stations' }).getByRole('button', { name, exact: true })
  await page.getByRole('button', { name: 'Only the first' }).click()
  await station('Opener blades').click()
  await station('Blade contact').click()
  await page.getByRole('group', { name: 'Stations' }).getByRole('button', { pressed: true }).first().click()
  await page.getByRole('button', { name: 'Only what is measured' }).click()
  await page.getByLabel('I have read this').check()
  await page.getByRole('button', { name: 'Start the walk' }).click()
}

type Made = { id: number }

/** A planter of its own for a test, and a walk opened on it: of two blades and their contact, or null for all. */
export async function planterWithWalk(
  page: Page,
  name: string,
  rows: number,
  checks: string[] | null = ['opener_blade_diameter', 'blade_contact_length'],
): Promise<{ planter: number; walk: string }> {
  const sheets = await call<{ id: number; type: string }[]>(page, 'GET', '/api/spec-sheets')
  const vacuum = sheets.body.find((sheet) => sheet.type === 'vacuum') as { id: number }
  const form = { farm: 'Test Field', name, row_count: rows, spacing: '30 in', spec_sheet_id: vacuum.id }
  const planter = (await call<Made>(page, 'POST', '/api/planters', form)).body.id
  const start = {
    kind: 'pre_season',
    order: 'row_by_row',
    cautions_acknowledged: true,
    ...(checks === null ? {} : { checks }),
  }
  const walk = (await call<{ id: string }>(page, 'POST', `/api/planters/${planter}/walks`, start)).body.id
  return { planter, walk }
}

type Cell = { row: number; check: string; side: string; now: { value: number | null } | null }

/** What a walk reads at its places, in the order of the row unit: all that is not null. */
export async function valuesOf(page: Page, walk: string): Promise<(number | null)[]> {
  const guide = await call<{ steps: Cell[] }>(page, 'GET', `/api/walks/${walk}`)
  return guide.body.steps.flatMap((step) => (step.now === null ? [] : [step.now.value]))
}

/** Runs one of the server's steps in bin/lib, as pg_stop or fpm_start. */
export function server(commands: string): void {
  const script = `set -euo pipefail; ROOT=$USTREL_ROOT; STATE=$USTREL_STATE; . "$ROOT/bin/lib/common.sh"; ${commands}`
  execFileSync('bash', ['-c', script], { stdio: ['ignore', 'ignore', 'inherit'] })
}

/** Every screen of a signed-in person, at a planter with an open walk or at another with none. */
export const screens = [
  ['the yard', () => '/'],
  ['a board', (planter: number) => `/planters/${planter}/board`],
  ['a walk', (planter: number) => `/planters/${planter}/walk`],
  ['findings', (planter: number) => `/planters/${planter}/findings`],
  ['a row', (planter: number) => `/planters/${planter}/rows/7`],
  ['life left', (planter: number) => `/planters/${planter}/life`],
  ['acres', (planter: number) => `/planters/${planter}/acres`],
  ['an import', (planter: number) => `/planters/${planter}/import`],
  ['part types', () => '/part-types'],
  ['a part type', () => '/part-types/5'],
  ['quick entry', (planter: number) => `/planters/${planter}/quick-entry`],
  ['the whole planter', (planter: number) => `/planters/${planter}/whole-planter`],
  ['a walk to start', (_: number, other: number) => `/planters/${other}/walk`],
  ['a planter', (planter: number) => `/planters/${planter}/edit`],
  ['the spec sheets', () => '/spec-sheets'],
  ['a spec sheet', () => '/spec-sheets/1'],
] as const
