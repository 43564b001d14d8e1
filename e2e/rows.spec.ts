import { expect } from '@playwright/test'
import { call, expectFaultless, signIn, test } from './support'

test('rows that differ are said in the form, asked by what they have, and parked rows are asked nothing', async ({
  page,
}) => {
  await signIn(page)
  await page.goto('/planters/new')
  await page.getByRole('button', { name: /Finger planter/ }).click()
  const name = `Mixed ${Date.now()}`
  await page.getByLabel('Planter name').fill(name)
  await page.getByLabel('Farm').fill('Ardle Bank Farm')
  await page.getByRole('button', { name: 'Add rows that differ' }).click()
  const group = page.getByRole('region', { name: 'Group 1' })
  await group.getByLabel('Rows', { exact: true }).fill('5 to 7')
  await expect(async () => {
    await group.getByRole('combobox', { name: 'Closing wheels' }).press('ArrowDown')
    await page.getByRole('option', { name: 'Drag chain' }).click({ timeout: 3000 })
    await expect(group.getByText(/^Closing wheels: Drag chain/)).toBeVisible({ timeout: 1000 })
  }).toPass()
  await page.getByLabel('Parked rows').fill('2')
  await page.getByRole('button', { name: 'Add planter' }).click()
  // There is no row 7: said at the group, and nothing is lost.
  await expect(group.getByText('This planter has rows 1 to 6.')).toBeVisible()
  await expect(group.getByText(/^Closing wheels: Drag chain/)).toBeVisible()
  await group.getByLabel('Rows', { exact: true }).fill('5 to 6')
  await expectFaultless(page)
  await page.getByRole('button', { name: 'Add planter' }).click()
  await expect(page).toHaveURL(/\/planters\/\d+\/board$/)
  const planter = /planters\/(\d+)/.exec(page.url())?.[1]
  await expect(page.getByRole('button', { name: 'Row 2: parked' })).toBeVisible()

  const { body } = await call<{ steps: { row: number; check: string }[] }>(
    page,
    'GET',
    `/api/planters/${planter}/guide`,
  )
  const rowsOf = (check: string) => [
    ...new Set(body.steps.filter((step) => step.check === check).map(({ row }) => row)),
  ]
  expect(rowsOf('closing_gap')).toEqual([1, 3, 4])
  expect(rowsOf('closing_chain')).toEqual([5, 6])
  expect(rowsOf('opener_bearing')).toEqual([1, 3, 4, 5, 6])

  await page.goto(`/planters/${planter}/rows/5`)
  await expect(page.getByText('Second closing stage').first()).toBeVisible()
  await expect(page.getByText('Closing wheels')).toHaveCount(0)
  await page.goto(`/planters/${planter}/rows/1`)
  await expect(page.getByText('Closing wheels').first()).toBeVisible()
  await expectFaultless(page)

  // Opened again, the form says what is on record.
  await page.goto(`/planters/${planter}/edit`)
  await expect(group.getByLabel('Rows', { exact: true })).toHaveValue('5-6')
  await expect(page.getByLabel('Parked rows')).toHaveValue('2')
})
