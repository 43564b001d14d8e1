import { expect } from '@playwright/test'
import { call, expectFaultless, planterWithWalk, signIn, test } from './support'

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
  await expect(page.getByRole('link', { name: 'Row 2: parked' })).toBeVisible()

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
  await expect(page.getByText('Closing chain').first()).toBeVisible()
  await expect(page.getByText('Closing wheels')).toHaveCount(0)
  await page.goto(`/planters/${planter}/rows/1`)
  await expect(page.getByText('Closing wheels').first()).toBeVisible()
  await expectFaultless(page)

  await page.goto(`/planters/${planter}/rows/2`)
  await expect(page.getByText('Parked: nothing is asked of this row.')).toBeVisible()
  await expect(page.getByText('Stations, front to back')).toHaveCount(0)
  await expect(page.getByRole('link', { name: 'Edit the planter once it is down again' })).toBeVisible()
  await expectFaultless(page)

  // Opened again, the form says what is on record.
  await page.goto(`/planters/${planter}/edit`)
  await expect(group.getByLabel('Rows', { exact: true })).toHaveValue('5-6')
  await expect(page.getByLabel('Parked rows')).toHaveValue('2')
})

test('two people who change one make-up at once do not overwrite each other', async ({ page, elsewhere }) => {
  await signIn(page)
  const { planter } = await planterWithWalk(page, `Make-up ${Date.now()}`, 8, ['closing_gap'])
  const other = await elsewhere()
  await signIn(other)
  type Made = { version: string; spec_sheet: { id: number }; other_rows: { rows: number[] }[]; changed?: string[] }
  const path = `/api/planters/${planter}`
  const before = (
    await call<Made & { farm: string; name: string; row_count: number; spacing_typed: string }>(page, 'GET', path)
  ).body
  const form = {
    farm: before.farm,
    name: before.name,
    row_count: before.row_count,
    spacing: before.spacing_typed,
    spec_sheet_id: before.spec_sheet.id,
    version: before.version,
  }
  const madeOf = (row: number, kind: string) => ({
    ...form,
    other_rows: [{ rows: [row], equipment: { closing_wheels: kind } }],
  })
  // One is kept, the other is told what changed; what the walk asks follows the one that is kept.
  const answers = await Promise.all([
    call<Made>(page, 'PUT', path, madeOf(7, 'cast')),
    call<Made>(other, 'PUT', path, madeOf(2, 'chain')),
  ])
  expect(answers.map(({ status }) => status).toSorted()).toEqual([200, 409])
  expect(answers.find(({ status }) => status === 409)?.body.changed).toEqual(['other_rows'])
  const kept = answers.findIndex(({ status }) => status === 200)
  const sent = kept === 0 ? madeOf(7, 'cast') : madeOf(2, 'chain')
  expect((await call<Made>(page, 'GET', path)).body.other_rows[0]?.rows).toEqual(sent.other_rows[0]?.rows)
  // The answer was lost: the same from both sides at once is known, and is there once.
  const again = await Promise.all([call<Made>(page, 'PUT', path, sent), call<Made>(other, 'PUT', path, sent)])
  expect(again.map(({ status }) => status)).toEqual([200, 200])
  expect((await call<Made>(page, 'GET', path)).body.other_rows).toHaveLength(1)
})
