import { expect, type Page } from '@playwright/test'
import { keptOnDevice, call, planterWithWalk, server, signIn, signInByHand, test } from './support'

test.use({ serviceWorkers: 'allow' })

type Reading = { id: string; typed: string; taken_at: string; holds: boolean }

/** The typed figures of one side of all rows, in the order in which the server took them in. */
async function typedOf(page: Page, planter: number, rows: number): Promise<string[]> {
  const all: Reading[] = []
  for (let row = 1; row <= rows; row++) {
    for (const side of ['left', 'right']) {
      const query = `row=${row}&check=opener_blade_diameter&side=${side}`
      all.push(...(await call<Reading[]>(page, 'GET', `/api/planters/${planter}/history?${query}`)).body)
    }
  }
  return all.sort((a, b) => a.taken_at.localeCompare(b.taken_at)).map((reading) => reading.typed)
}

/** Walks so many readings by keyboard: left, right, row by row. */
async function measure(page: Page, figures: string[], alreadyDone: number): Promise<void> {
  for (const [index, figure] of figures.entries()) {
    await page.keyboard.type(figure)
    await page.keyboard.press('Enter')
    await expect(page.locator('.count strong')).toHaveText(String(alreadyDone + index + 1))
  }
}

for (const restarts of [false, true]) {
  const how = restarts ? ', although the server is killed while they go up' : ''
  const name = `forty readings and a photo without a signal, with a reload in between, all go up once and in order${how}`
  test(name, { tag: restarts ? '@alone' : [] }, async ({ page, context }) => {
    await signIn(page)
    const { planter, walk } = await planterWithWalk(page, restarts ? 'Far Field' : 'Back Field', 20, [
      'opener_blade_diameter',
    ])
    // Opened once with a signal.
    await page.goto(`/planters/${planter}/walk`)
    await keptOnDevice(page)
    await expect(page.getByRole('heading', { level: 1 }).filter({ hasText: 'Row 1 of 20' })).toBeVisible()

    await context.setOffline(true)
    const figures = Array.from({ length: 40 }, (_, index) => `14 ${9 + (index % 5)}/16`)
    await measure(page, figures.slice(0, 20), 0)
    await page.keyboard.press('m')
    await page.getByLabel('Photo', { exact: true }).setInputFiles('public/icon-512.png')
    await expect(page.getByAltText('The photo')).toBeVisible()
    await page.getByRole('button', { name: 'Save', exact: true }).click()
    await expect(page.getByText('21 waiting')).toBeVisible()

    await page.reload()
    await expect(page.getByText('21 waiting')).toBeVisible()
    await expect(page.locator('.count strong')).toHaveText('20')
    await expect(page.getByRole('heading', { level: 1 }).filter({ hasText: 'Row 11 of 20' })).toBeVisible()
    await measure(page, figures.slice(20), 20)
    await expect(page.getByText('41 waiting')).toBeVisible()

    // Judged on the device all the while.
    await page.getByRole('button', { name: /^Row 1:/ }).click()
    await expect(page.locator('.figure .chip')).toHaveText('Watch')

    if (restarts) server('fpm=$(cat $STATE/run/fpm.pid); workers=$(pgrep -P $fpm); kill -9 $fpm $workers || true')
    await context.setOffline(false)
    if (restarts) {
      await page.waitForTimeout(2_500)
      await expect(page.getByText('41 waiting')).toBeVisible()
      server('rm -f $STATE/run/fpm.sock; fpm_start')
    }
    await expect(page.getByText('saved', { exact: true })).toBeVisible({ timeout: 60_000 })
    expect(await typedOf(page, planter, 20)).toEqual(figures)
    const news = await call<{ photos: unknown[] }>(page, 'GET', `/api/walks/${walk}/news`)
    expect(news.body.photos).toHaveLength(1)
  })
}

test('a walk is started without a signal, and gives way to one that somebody else has opened', async ({
  page,
  context,
}) => {
  await signIn(page)
  const { planter, walk } = await planterWithWalk(page, 'Started Twice', 2)
  await call(page, 'POST', `/api/walks/${walk}/finish`, { with_unchecked: true })
  await page.goto(`/planters/${planter}/walk`)
  await keptOnDevice(page)
  await expect(page.getByRole('heading', { name: /^Start a walk/ })).toBeVisible()
  // The packs come last and move what is below them.
  await page.waitForLoadState('networkidle')
  await context.setOffline(true)
  await page.getByLabel('I have read this').check()
  await page.getByRole('button', { name: 'Start the walk' }).click()
  await expect(page.getByRole('heading', { level: 1 }).filter({ hasText: 'Row 1 of 2' })).toBeVisible()
  await page.keyboard.press('s')
  await expect(page.getByText('2 waiting')).toBeVisible()

  // Meanwhile the colleague has opened one.
  await page.route('**/api/**', (route) => route.abort())
  await context.setOffline(false)
  const start = { kind: 'rain_day', order: 'row_by_row', cautions_acknowledged: true }
  const open = await call<{ id: string }>(page, 'POST', `/api/planters/${planter}/walks`, start)
  expect(open.status).toBe(201)
  await page.unroute('**/api/**')
  await expect(page.getByText('has a walk that is still open')).toBeVisible({ timeout: 40_000 })
  await page.getByRole('button', { name: 'Move to the open walk' }).click()
  await expect(page.getByText('saved', { exact: true })).toBeVisible()
  const news = await call<{ ribbon: { checked: number }[] }>(page, 'GET', `/api/walks/${open.body.id}/news`)
  expect(news.body.ribbon[0]?.checked).toBe(1)
})

test("one person's readings never go up under another's name", async ({ page, context, elsewhere }) => {
  // Tabs of one browser sign each other out; who looks on is elsewhere.
  const witness = await elsewhere()
  await signIn(witness, 'idris@tollgate.example')
  await signInByHand(page)
  const { planter, walk } = await planterWithWalk(page, 'Two Names', 1)
  await page.goto(`/planters/${planter}/walk`)
  await expect(page.getByRole('heading', { level: 1 }).filter({ hasText: 'Row 1 of 1' })).toBeVisible()
  // In every tab: another one of the same person would send them, too.
  await context.route('**/readings', (route) => route.abort())
  await page.keyboard.type('14 3/4')
  await page.keyboard.press('Enter')
  await expect(page.getByText('1 waiting')).toBeVisible()

  // Somebody else signs in, in another tab of the same browser.
  const other = await context.newPage()
  await other.goto('/')
  await other.getByRole('button', { name: 'Your account' }).click()
  await other.getByText('Sign out').click()
  await expect(other.getByLabel('Email')).toBeVisible()
  await signInByHand(other, 'idris@tollgate.example')
  await context.unroute('**/readings')
  await expect(page.getByRole('heading', { name: 'Sign in again' })).toBeVisible({ timeout: 40_000 })
  const news = () => call<{ ribbon: { checked: number }[] }>(witness, 'GET', `/api/walks/${walk}/news`)
  expect((await news()).body.ribbon[0]?.checked).toBe(0)

  await page.getByLabel('Email').fill('wren@tollgate.example')
  await page.getByLabel('Password').fill('tollgate-rows')
  await page.getByRole('button', { name: 'Sign in' }).click()
  await expect(page.getByText('saved', { exact: true })).toBeVisible({ timeout: 40_000 })
  expect((await news()).body.ribbon[0]?.checked).toBe(1)
})
