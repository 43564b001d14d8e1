import { execFileSync } from 'node:child_process'
import AxeBuilder from '@axe-core/playwright'
import { test as base, expect, type Page } from '@playwright/test'

export const WREN = { email: 'wren@tollgate.example', password: 'tollgate-rows' }

type Devices = {
  /** A page on a device of its own, gone when the test is over. */
  elsewhere: () => Promise<Page>
  /** What the page complained about, told where a test fails. */
  complaints: undefined
}

export const test = base.extend<Devices>({
  elsewhere: async ({ browser }, use) => {
    const pages: Page[] = []
    await use(async () => {
      const page = await (await browser.newContext()).newPage()
      pages.push(page)
      return page
    })
    await Promise.all(pages.map((page) => page.context().close()))
  },
  complaints: [
    async ({ page }, use, info) => {
      const said: string[] = []
      page.on('pageerror', (error) => said.push(`error: ${error.message}`))
      page.on('requestfailed', (request) => said.push(`failed: ${request.url()} ${request.failure()?.errorText}`))
      page.on('response', (answer) => answer.status() >= 500 && said.push(`${answer.status()}: ${answer.url()}`))
      await use(undefined)
      if (info.status !== info.expectedStatus) console.log([info.title, page.url(), ...said.slice(-20)].join('\n  '))
    },
    { auto: true },
  ],
})

/** A believable answer to each check, by the keys that give it. */
export const FIGURES: Record<string, string> = {
  arm_play_side: '1/8',
  arm_play_vertical: '1/16',
  blade_contact_length: '2',
  closing_centring: '0',
  closing_gap: '1 1/2',
  closing_tail_play: '1/8',
  depth_stop_notch: '5',
  gauge_arm_play: '1/16',
  guard_width: '13/16',
  inner_shims: '3',
  meter_bench_seasons: '1',
  opener_blade_diameter: '14 3/4',
}

/** Signed in, and walking one check at a time unless a test is about the station card. */
export async function signIn(page: Page, email = WREN.email, password = WREN.password): Promise<void> {
  await page.request.get('/sanctum/csrf-cookie')
  const { status } = await call(page, 'POST', '/api/sign-in', { email, password })
  expect(status).toBe(200)
  await walkByCheck(page)
  await page.goto('/')
  await expect(page.getByRole('heading', { level: 1 })).toContainText(/Tollgate|Lowmoor|Today/)
}

/** The same as a person does it. */
export async function signInByHand(page: Page, email = WREN.email, password = WREN.password): Promise<void> {
  await walkByCheck(page)
  await page.goto('/sign-in')
  await page.getByLabel('Email').fill(email)
  await page.getByLabel('Password').fill(password)
  await page.getByRole('button', { name: 'Sign in' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText(/Tollgate|Lowmoor|Today/)
}

/** From the menu of the person. */
export const signOutByHand = (page: Page) => page.getByRole('button', { name: 'Sign out' }).click()

const walkByCheck = (page: Page) =>
  page.addInitScript(() => {
    if (localStorage.getItem('ustrel.walk-view') === null) localStorage.setItem('ustrel.walk-view', 'single')
  })

/** The device keeps the client. A page that came in the moment before is not the device's yet, and is got once more. */
export async function keptOnDevice(page: Page): Promise<void> {
  const isKept = () =>
    page.evaluate(async () => {
      const kept = await (await caches.open('page')).match('/')
      return kept !== undefined && navigator.serviceWorker.controller !== null
    })
  await expect(async () => {
    if (!(await isKept())) await page.waitForTimeout(8_000)
    if (!(await isKept())) await page.reload()
    expect(await isKept()).toBe(true)
  }).toPass({ timeout: 90_000 })
}

/** All of a page lies in one frame: nothing has to be brought together on another one. */
export const axe = (page: Page) => new AxeBuilder({ page }).setLegacyMode()

/** Everybody can use what is on the screen, once nothing is under way any more: a button that is busy shows Vuetify's nameless ring. */
export async function expectFaultless(page: Page): Promise<void> {
  await expect(page.locator('[aria-busy=true]')).toHaveCount(0)
  const { violations } = await axe(page).analyze()
  expect(violations.map(({ id, nodes }) => `${id}: ${nodes.map((node) => node.html).join(' | ')}`)).toEqual([])
}

/** Calls the API as the signed-in page would; a form with a file goes as its parts. */
export async function call<T>(
  page: Page,
  method: string,
  path: string,
  data?: unknown,
  multipart?: Record<string, string | { name: string; mimeType: string; buffer: Buffer }>,
): Promise<{ status: number; body: T }> {
  const cookies = await page.context().cookies()
  const token = cookies.find((cookie) => cookie.name === 'XSRF-TOKEN')?.value ?? ''
  const answer = await page.request.fetch(path, {
    method,
    ...(multipart ? { multipart } : { data }),
    headers: {
      Accept: 'application/json',
      Referer: test.info().project.use.baseURL as string,
      'X-XSRF-TOKEN': decodeURIComponent(token),
    },
  })
  return { status: answer.status(), body: (await answer.json().catch(() => null)) as T }
}

/** On the screen that starts a walk: only the two blades and their contact. */
export async function startMeasuring(page: Page): Promise<void> {
  const station = (name: string) =>
    page.getByRole('group', { name: 'Stations' }).getByRole('button', { name, exact: true })
  await page.getByRole('button', { name: 'By hand' }).click()
  await page.getByRole('button', { name: 'None but the first' }).click()
  await station('Opener blades').click()
  await station('Blade contact').click()
  await page.getByRole('group', { name: 'Stations' }).getByRole('button', { pressed: true }).first().click()
  await page.getByRole('button', { name: 'Measurements only' }).click()
  await page.getByLabel('I have read this').check()
  await page.getByRole('button', { name: 'Start the walk' }).click()
}

/** From the next page on the walk is a station at a time. */
export async function walkByStation(page: Page): Promise<void> {
  await page.evaluate(() => localStorage.setItem('ustrel.walk-view', 'station'))
}

type Made = { id: number }

/** A planter of its own for a test, and a walk opened on it: of two blades and their contact, or null for all. */
export async function planterWithWalk(
  page: Page,
  name: string,
  rows: number,
  checks: string[] | null = ['opener_blade_diameter', 'blade_contact_length'],
  more: object = {},
): Promise<{ planter: number; walk: string }> {
  const sheets = await call<{ id: number; type: string }[]>(page, 'GET', '/api/spec-sheets')
  const vacuum = sheets.body.find((sheet) => sheet.type === 'vacuum') as { id: number }
  const { repeatEachIndex, retry, project } = test.info()
  const again = repeatEachIndex + retry
  const form = {
    // The same test may run by another address, too.
    farm: project.name === 'proxied' ? 'Field by Proxy' : 'Test Field',
    name: again === 0 ? name : `${name} ${again}`,
    row_count: rows,
    spacing: '30 in',
    spec_sheet_id: vacuum.id,
    ...more,
  }
  const made = await call<Made>(page, 'POST', '/api/planters', form)
  expect(made.status, JSON.stringify(made.body)).toBe(201)
  const planter = made.body.id
  const start = {
    kind: 'pre_season',
    order: 'row_by_row',
    cautions_acknowledged: true,
    ...(checks === null ? {} : { checks }),
  }
  const opened = await call<{ id: string }>(page, 'POST', `/api/planters/${planter}/walks`, start)
  expect(opened.status, JSON.stringify(opened.body)).toBe(201)
  return { planter, walk: opened.body.id }
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
  ['what there is to decide', (planter: number) => `/planters/${planter}/decide`],
  ['the season', (planter: number) => `/planters/${planter}/season`],
  ['a row', (planter: number) => `/planters/${planter}/rows/7`],
  ['life left', (planter: number) => `/planters/${planter}/board?face=life`],
  ['the field', (planter: number) => `/planters/${planter}/field`],
  ['settings', (planter: number) => `/planters/${planter}/settings`],
  ['calculators', (planter: number) => `/planters/${planter}/calculators`],
  ['the first pass', (planter: number) => `/planters/${planter}/first-pass`],
  ['row watch', (planter: number) => `/planters/${planter}/row-watch`],
  ['emergence', (planter: number) => `/planters/${planter}/emergence`],
  ['meters', () => '/meters'],
  ['an import', (planter: number) => `/planters/${planter}/import`],
  ['part types', () => '/part-types'],
  ['parts on hand', () => '/store'],
  ['a part type', () => '/part-types/5'],
  ['the sheet', (planter: number) => `/planters/${planter}/walk/sheet`],
  ['the whole planter', (planter: number) => `/planters/${planter}/board?open=whole-planter`],
  ['a walk to start', (_: number, other: number) => `/planters/${other}/walk`],
  ['a planter', (planter: number) => `/planters/${planter}/edit`],
  ['the spec sheets', () => '/spec-sheets'],
  ['a spec sheet', () => '/spec-sheets/1'],
  ['the shop', () => '/shop'],
  ['people', () => '/people'],
  ['who did what', () => '/activity'],
  ['one’s account', () => '/account'],
] as const
