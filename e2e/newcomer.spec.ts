import { expect, type Page } from '@playwright/test'
import { expectFaultless, server, test } from './support'

const PASSWORD = 'tollgate-rows'

/** A shop of its own with nobody but its owner, as it is once it is set up. */
function emptyShop(email: string): void {
  const shop = `INSERT INTO workshops (name, time_zone, currency, units, paper, created_at, updated_at)
    VALUES ('Cold Harbor Rows', 'America/Chicago', 'USD', 'in', 'letter', now(), now()) RETURNING id`
  const owner = `INSERT INTO users (workshop_id, name, email, password, role, units, created_at, updated_at)
    SELECT shop.id, 'Nell Carr', '${email}', password, 'owner', 'in', now(), now() FROM shop, users WHERE email = 'wren@tollgate.example'`
  server(`pg_admin -d "$DB_DATABASE" -c "WITH shop AS (${shop}) ${owner}"`)
}

const step = (page: Page) => page.getByRole('region', { name: 'First day' })

test('a newcomer makes a planter, walks two rows, decides, prints and invites, told what comes next', async ({
  page,
}) => {
  const email = `nell-${Date.now()}@cold.example`
  emptyShop(email)
  await page.goto('/sign-in')
  await page.getByLabel('Email').fill(email)
  await page.getByLabel('Password').fill(PASSWORD)
  await page.getByRole('button', { name: 'Sign in' }).click()
  await expect(step(page)).toContainText('Add your planter')
  await expectFaultless(page)

  // Something to play with, gone again by one press.
  await page.getByRole('button', { name: 'Add sample planter' }).click()
  await expect(page.getByRole('link', { name: /Sample planter/ })).toBeVisible()
  await expect(step(page)).toContainText('Add your planter')
  await page.getByRole('button', { name: 'Remove sample planter' }).click()
  await expect(page.getByText('is made up')).toHaveCount(0)

  await step(page).getByRole('link', { name: 'Add planter' }).click()
  await page.getByLabel('Planter name').fill('First Four')
  await page.getByLabel('Farm').fill('Cold Harbor')
  await page.getByLabel('Rows', { exact: true }).fill('4')
  await page.getByLabel('Row spacing').fill('30 in')
  await page.getByRole('button', { name: 'Add planter' }).click()
  await expect(page).toHaveURL(/\/board$/)

  await page.goto('/')
  await expect(step(page)).toContainText('Walk two rows')
  await step(page).getByRole('link', { name: 'Start the walk' }).click()
  await page.getByRole('button', { name: 'By hand' }).click()
  await page.getByRole('button', { name: 'None but the first' }).click()
  const stations = page.getByRole('group', { name: 'Stations' })
  await stations.getByRole('button', { name: 'Opener blades', exact: true }).click()
  await stations.getByRole('button', { pressed: true }).first().click()
  await page.getByLabel('I have read this').check()
  await page.getByRole('button', { name: 'Start the walk' }).click()
  await expect(page.getByRole('heading', { name: /^Row 1 of 4/ })).toBeVisible()
  await page.getByRole('button', { name: 'Bearing, left' }).click()
  await page.getByRole('button', { name: /^seized/ }).click()
  for (const row of [1, 2]) {
    await expect(page.getByRole('heading', { name: new RegExp(`^Row ${row} of 4`) })).toBeVisible()
    await page.getByRole('button', { name: /sound(: on to| here: on to)/ }).click()
  }
  await expect(page.getByRole('heading', { name: /^Row 3 of 4/ })).toBeVisible()
  await expect(page.getByText('saved', { exact: true })).toBeVisible()

  await page.goto('/')
  await expect(step(page)).toContainText('See the verdicts')
  await step(page).getByRole('link', { name: 'Open the board' }).click()
  await expect(page.getByRole('button', { name: /^Row 1, .*bearing left: Failed/i })).toBeVisible()

  await page.goto('/')
  await expect(step(page)).toContainText('Decide one finding')
  await step(page).getByRole('link', { name: 'Go to Decide' }).click()
  await page
    .getByRole('button', { name: /^Accept: / })
    .first()
    .click()
  await expect(page.getByText('saved', { exact: true })).toBeVisible()

  await page.goto('/')
  await expect(step(page)).toContainText('Print the findings')
  const print = step(page).getByRole('link', { name: 'Print' })
  const paper = await page.request.get((await print.getAttribute('href')) ?? '', { headers: { referer: page.url() } })
  expect((await paper.body()).subarray(0, 5).toString()).toBe('%PDF-')
  // US letter, lying: 792 by 612 points.
  expect((await paper.body()).toString('latin1')).toContain('792.000 612.000')
  await step(page).getByRole('button', { name: 'Skip: Print the findings' }).click()

  await expect(step(page)).toContainText('Invite someone')
  await step(page).getByRole('link', { name: 'Go to People' }).click()
  await page.getByRole('button', { name: 'Invite someone' }).click()
  await page.getByRole('button', { name: 'Create link' }).click()
  await expect(page.getByRole('img', { name: /QR code/ })).toBeVisible()
  await page.goto('/')
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Cold Harbor Rows')
  await expect(page.getByText('First Four')).toBeVisible()
  await expect(step(page)).toHaveCount(0)
})
