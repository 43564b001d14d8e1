import { expect, type Page } from '@playwright/test'
import { v7 as uuid } from 'uuid'
import { call, planterWithWalk, signIn, test } from './support'

type ToDecide = {
  found: {
    row: number
    check: string
    decision: { action: string; reason: string | null; look_acres: number | null } | null
  }[]
}

/** A walk with something of most kinds on four rows. */
async function withFindings(page: Page, name: string): Promise<{ planter: number; walk: string }> {
  const made = await planterWithWalk(page, name, 4, null)
  const at = new Date(Date.now() - 60_000).toISOString()
  const state = (row: number, check: string, said: string, chips: string[], side = 'centre') => ({
    id: uuid(),
    row,
    check,
    side,
    state: said,
    chips,
    taken_at: at,
  })
  const readings = [
    state(1, 'opener_bearing', 'failed', ['seized'], 'left'),
    state(2, 'seed_tube', 'change', ['curled_lip']),
    state(3, 'seed_tube', 'change', ['dog_ear']),
    state(3, 'gauge_touch', 'gap', [], 'left'),
    state(4, 'seed_sensor', 'watch', ['dirty']),
    {
      id: uuid(),
      row: 4,
      check: 'opener_blade_diameter',
      side: 'left',
      typed: '14 3/8',
      confirmed: true,
      taken_at: at,
    },
  ]
  const { status, body } = await call(page, 'POST', `/api/walks/${made.walk}/readings`, { readings })
  expect(status, JSON.stringify(body)).toBe(200)
  return made
}

const decisions = async (page: Page, planter: number) =>
  Object.fromEntries(
    (await call<ToDecide>(page, 'GET', `/api/planters/${planter}/decide`)).body.found.map(
      ({ row, check, decision }) => [`${row} ${check}`, decision?.action ?? null],
    ),
  )
const list = (page: Page) => page.getByRole('region', { name: 'To decide' })

test('findings are decided by a key, of a kind, otherwise with a reason, and all at once', async ({ page }) => {
  await signIn(page)
  const { planter } = await withFindings(page, 'Decide by keys')
  await page.goto(`/planters/${planter}/decide`)
  await expect(list(page)).toContainText('6 left')

  // The worst stands first: Enter takes it.
  await page.keyboard.press('Enter')
  await expect(list(page).getByRole('button', { name: /^accepted: Row 1: opener blade bearing left/i })).toBeVisible()
  await expect.poll(async () => (await decisions(page, planter))['1 opener_bearing']).toBe('change')

  // Two tubes are of a kind, and go with one press.
  await list(page)
    .getByRole('button', { name: /^Accept: Rows 2, 3: seed tube/ })
    .click()
  await expect.poll(() => decisions(page, planter)).toMatchObject({ '2 seed_tube': 'change', '3 seed_tube': 'change' })

  // Override: a reason has to be said.
  await list(page)
    .getByRole('button', { name: /^Row 4: opener blade diameter left, unfold/ })
    .click()
  await list(page).getByRole('button', { name: 'Override' }).click()
  const dialog = page.getByRole('dialog', { name: 'Override' })
  await dialog.getByRole('button', { name: 'carry over', exact: true }).click()
  await dialog.getByRole('button', { name: 'at this many acres' }).click()
  await dialog.getByLabel(/At this many ac/).fill('120')
  await dialog.getByRole('button', { name: 'Decide' }).click()
  await expect(dialog).toContainText('Choose a reason')
  await dialog.getByRole('button', { name: 'few acres are left for it' }).click()
  await dialog.getByRole('button', { name: 'Decide' }).click()
  await expect(page.getByRole('region', { name: 'Carried over' })).toContainText('at 120 ac of the season')

  // And back.
  await list(page)
    .getByRole('button', { name: /^carry over: Row 4/ })
    .click()
  await list(page).getByRole('button', { name: 'Undo' }).first().click()
  await expect.poll(async () => (await decisions(page, planter))['4 opener_blade_diameter']).toBeNull()

  await list(page).getByRole('button', { name: 'Accept all proposals' }).click()
  await expect(list(page)).toContainText('All 6 decided')
  await expect
    .poll(() => decisions(page, planter))
    .toEqual({
      '1 opener_bearing': 'change',
      '2 seed_tube': 'change',
      '3 seed_tube': 'change',
      '3 gauge_touch': 'adjust',
      '4 seed_sensor': 'clean',
      '4 opener_blade_diameter': 'change',
    })
})

test('what is decided without a signal goes up later, once', async ({ page }) => {
  await signIn(page)
  const { planter, walk } = await withFindings(page, 'Decide in the yard')
  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto(`/planters/${planter}/decide`)
  await expect(list(page)).toContainText('6 left')
  await page.context().setOffline(true)
  await list(page)
    .getByRole('button', { name: /^Accept: Row 1: opener blade bearing left/ })
    .click()
  await expect(list(page)).toContainText('5 left')
  await expect(page.getByText('1 waiting')).toBeVisible()
  // Meanwhile somebody else reads it as sound: nothing to decide any more, and that is said.
  await list(page)
    .getByRole('button', { name: /^Accept: Row 4: seed sensor/ })
    .click()
  await call(page, 'POST', `/api/walks/${walk}/readings`, {
    readings: [
      { id: uuid(), row: 4, check: 'seed_sensor', side: 'centre', state: 'sound', taken_at: new Date().toISOString() },
    ],
  })
  await page.context().setOffline(false)
  await expect(page.getByText(/Row 4, Seed sensor.*: nothing to decide any more/)).toBeVisible()
  await expect.poll(async () => (await decisions(page, planter))['1 opener_bearing']).toBe('change')
})

test('a policy that is chosen rules the proposals', async ({ page }) => {
  await signIn(page)
  const { planter } = await planterWithWalk(page, 'Decide by policy', 2, null)
  const fitted = (row: number, side: string) => ({
    id: uuid(),
    kind: 'fitted',
    happened_at: '2025-03-01T10:00:00Z',
    row,
    slot: 'opener_blade',
    side,
    size: '15',
    reason: 'worn',
  })
  await call(page, 'POST', `/api/planters/${planter}/ledger`, {
    events: [1, 2].flatMap((row) => [fitted(row, 'left'), fitted(row, 'right')]),
  })
  await page.goto(`/planters/${planter}/decide`)
  const panel = page.getByRole('region', { name: 'What each policy costs' })
  await expect(panel).toContainText('how many acres are planned')

  await panel.getByRole('link', { name: 'Season' }).click()
  await page.getByRole('button', { name: 'Add a field' }).click()
  await page.getByLabel('Field 1', { exact: true }).fill('Long Acre')
  await page.getByLabel('Area of field 1, ac').fill('120')
  await page.getByRole('button', { name: 'Save season' }).click()
  await expect(page.getByRole('status').filter({ hasText: 'Saved.' })).toBeVisible()

  await page.getByRole('link', { name: 'Decide', exact: true }).first().click()
  await expect(panel.getByRole('button', { name: /^Every spring: \$/ })).toBeVisible()
  await panel.getByRole('button', { name: /^Every spring: \$/ }).click()
  await page.getByText('Choose for this planter').click()
  await expect(panel.getByRole('button', { name: /^Every spring: .*chosen/ })).toBeVisible()
  await expect(list(page)).toContainText('Rows 1, 2: opener blade diameter')
  await expect(list(page)).toContainText('changed every spring')
})

test('two people who change one season at once do not overwrite each other', async ({ page, elsewhere }) => {
  await signIn(page)
  const other = await elsewhere()
  await signIn(other)
  const { planter } = await planterWithWalk(page, 'One season', 2, null)
  for (const at of [page, other]) {
    await at.goto(`/planters/${planter}/season`)
    await expect(at.getByRole('heading', { name: /^Season/ })).toBeVisible()
  }
  await page.getByLabel('Planting starts').fill('2027-04-20')
  await other.getByLabel('Hours a day').fill('12')
  await page.getByRole('button', { name: 'Save season' }).click()
  await expect(page.getByText('Saved.')).toBeVisible()
  await other.getByRole('button', { name: 'Save season' }).click()
  // The field is marked too.
  await expect(other.locator('ul[role=alert]')).toContainText(
    'Someone else changed this meanwhile, so nothing was saved',
  )
  await other.getByRole('button', { name: 'Reload' }).click()
  await expect(other.getByLabel('Planting starts')).toHaveValue('2027-04-20')

  // A window that ends before it starts is named, and nothing is lost.
  await other.getByLabel('Window ends').fill('2027-04-10')
  await other.getByRole('button', { name: 'Save season' }).click()
  await expect(
    other.getByText(/The window ends on Sat, Apr 10(, 2027)?, before it starts on Tue, Apr 20/).first(),
  ).toBeVisible()
  await other.getByLabel('Window ends').fill('2027-05-02')
  await other.getByRole('button', { name: 'Save season' }).click()
  await expect(other.getByText('Saved.')).toBeVisible()

  // What no record tells is ticked by hand; the rest is not.
  await other.getByRole('checkbox', { name: 'Seed on hand' }).click()
  await expect(other.getByRole('checkbox', { name: 'Seed on hand' })).toBeChecked()
  await expect(other.getByRole('checkbox', { name: 'Walk done' })).toHaveCount(0)
})
