import { expect } from '@playwright/test'
import { v7 as uuid } from 'uuid'
import { call, planterWithWalk, signIn, test } from './support'

test('meters are run row by row, and the one that is really worse is named', async ({ page }) => {
  await signIn(page)
  const { planter } = await planterWithWalk(page, 'On the stand', 4)
  await page.goto(`/planters/${planter}/bench`)
  await expect(page.getByText('No meter has been run for this season')).toBeVisible()
  const form = page.getByRole('form', { name: 'A run' })
  await expect(form).toContainText('Row 1')
  await form.getByLabel('Seed lot').fill('Popcorn 7')
  await form.getByLabel('Air, in H₂O').fill('300')
  await form.getByLabel('Skips').fill('6')
  await form.getByLabel('Doubles').fill('4')
  await form.getByRole('button', { name: 'Keep it, next row' }).click()
  await expect(form.getByRole('alert').filter({ hasText: 'from 0.5 to 60' })).toBeVisible()
  await form.getByLabel('Air, in H₂O').fill('14')
  await form.getByRole('button', { name: 'Keep it, next row' }).click()
  await expect(page.getByRole('region', { name: 'Meters' })).toContainText('98.0 %')
  // Seed, disc and air are as before; the next row is up.
  await expect(form).toContainText('Row 2')
  await expect(form.getByLabel('Seed lot')).toHaveValue('Popcorn 7')
  await form.getByLabel('Skips').fill('70')
  await form.getByLabel('Doubles').fill('2')
  await form.getByRole('button', { name: 'Keep it, next row' }).click()
  await expect(page.getByText('Row 2: really worse than the others')).toBeVisible()
  await expect(page.getByText('More skips than doubles: try more air')).toBeVisible()

  // The same run sent from two sides at once is kept once.
  const run = {
    id: uuid(),
    row: 4,
    stage: 'pre',
    places: 500,
    skips: 5,
    doubles: 5,
    happened_at: new Date().toISOString(),
  }
  const path = `/api/planters/${planter}/bench`
  const answers = await Promise.all([1, 2, 3, 4].map(() => call(page, 'POST', path, run)))
  expect(answers.map(({ status }) => status).sort()).toEqual([200, 200, 200, 201])
  const { body } = await call<{ runs: unknown[] }>(page, 'GET', path)
  expect(body.runs).toHaveLength(3)
})
