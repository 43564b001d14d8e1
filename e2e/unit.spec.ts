import { expect } from '@playwright/test'
import { call, expectFaultless, signIn, test } from './support'

test('a plate planter is made from a starting point, changed part by part, walked and explained, and nothing speaks of blades', async ({
  page,
}) => {
  await signIn(page)
  await page.goto('/planters/new')
  const starts = page.getByRole('region', { name: 'Start with' })
  await expect(starts.getByRole('button')).toHaveCount(8)
  await starts.getByRole('button', { name: /Plate planter/ }).click()
  await expectFaultless(page)

  const choose = async (opener: string) => {
    const select = unit.locator('.v-select').filter({ hasText: /^Opener/ })
    // While the list opens it moves: a choice made too early is no choice.
    await expect(async () => {
      await unit.getByRole('combobox', { name: 'Opener' }).press('ArrowDown')
      await page.getByRole('option', { name: opener }).click({ timeout: 3000 })
      await expect(select).toContainText(opener, { timeout: 1000 })
    }).toPass()
  }
  // The count follows each change at once, and what does not go together is said before anything is sent.
  const unit = page.getByRole('group', { name: 'What each row and the planter have' })
  const count = async () => Number(/(\d+) checks a row/.exec(await unit.innerText())?.[1])
  const before = await count()
  await unit.getByLabel('Seed firmers').check()
  expect(await count()).toBe(before + 2)
  await expect(unit.getByLabel('Scrapers')).toHaveCount(0)
  await choose('None')
  await expect(unit.getByRole('alert')).toContainText('A seed firmer needs a trench.')
  await page.getByLabel('Planter name').fill(`Plate ${Date.now()}`)
  await page.getByLabel('Farm').fill('Pell Cottage')
  await page.getByRole('button', { name: 'Add planter' }).click()
  await expect(page.getByText('A seed firmer needs a trench.').first()).toBeVisible()
  // What would not go with the rest is not offered any more.
  await unit.getByLabel('Seed firmers').click()
  await expect(unit.getByLabel('Seed firmers')).toHaveCount(0)
  await choose('Runner (shoe)')
  await page.getByRole('button', { name: 'Add planter' }).click()
  await expect(page).toHaveURL(/\/planters\/\d+\/board$/)
  const planter = /planters\/(\d+)/.exec(page.url())?.[1]

  const NOT_THERE =
    /opener blade|blade contact|shim|scraper|seed tube guard|gauge wheel|seed sensor|row cleaner|firmer/i
  await expect(page.getByText('Press wheel').first()).toBeVisible()
  expect(await page.locator('main').innerText()).not.toMatch(NOT_THERE)

  await page.goto(`/planters/${planter}/walk`)
  await expect(page.getByText(/readings on 4 rows, about/)).toBeVisible()
  await expect(page.getByRole('button', { name: 'Blades and contact' })).toHaveCount(0)
  await page.getByRole('button', { name: 'Plate meters' }).click()
  await page.getByLabel('I have read this').check()
  await page.getByRole('button', { name: 'Start the walk' }).click()
  await expect(page.getByRole('heading', { name: /^Row 1 of 4/ })).toBeVisible()
  const walked = async () =>
    (await call<{ walk: { checks: string[] } | null }>(page, 'GET', `/api/planters/${planter}/guide`)).body.walk?.checks
  await expect.poll(walked).toEqual(expect.arrayContaining(['drive_tab', 'plate_cover', 'press_wheel_contact']))

  await page.goto(`/planters/${planter}/rows/1`)
  await page.getByRole('button', { name: 'How it works' }).click()
  const tour = page.getByRole('dialog', { name: 'How it works' })
  for (let at = 1; at < 9; at++) {
    await expect(tour).toContainText(`${at} of 9`)
    expect(await tour.innerText()).not.toMatch(NOT_THERE)
    await tour.getByRole('button', { name: 'Next' }).click()
  }
  await expect(tour.getByRole('heading', { name: 'Covering discs' })).toBeVisible()
  await expectFaultless(page)
  await tour.getByRole('button', { name: 'Done' }).click()
  await expect(tour).toHaveCount(0)
})
