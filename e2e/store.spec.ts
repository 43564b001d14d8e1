import { readFileSync } from 'node:fs'
import { expect } from '@playwright/test'
import { v7 as uuid } from 'uuid'
import { call, planterWithWalk, signIn, test } from './support'

const LOWMOOR = 'sable@lowmoor.example'

test('a parts counter is asked; where it is down, what it said before stands', async ({ page }) => {
  await signIn(page, LOWMOOR)
  const number = `T-${uuid().slice(-6)}`
  const part = { name: `Asked ${number}`, own_number: number, slots: ['seed_tube'], per_row: 1, price: null }
  await call(page, 'POST', '/api/part-types', { ...part, lead_days: null, notes: '', heavy: false, clearance: false })
  await page.goto('/store')
  await page.getByRole('button', { name: 'Add supplier' }).click()
  const name = `Counter ${number}`
  const dialog = page.getByRole('dialog', { name: 'Supplier' })
  await dialog.getByLabel('Name').fill(name)
  await dialog.getByRole('button', { name: 'An address' }).click()
  await dialog.getByLabel('Address of the parts counter').fill('the shop in town')
  await dialog.getByRole('button', { name: 'Save supplier' }).click()
  await expect(dialog.getByText('Give the address of the parts counter').first()).toBeVisible()
  await dialog.getByRole('button', { name: 'Practice counter' }).click()
  await dialog.getByRole('button', { name: 'Save supplier' }).click()
  const ask = page.getByRole('button', { name: `Ask the parts counter of ${name}` })
  const said = page.getByRole('region', { name: 'Suppliers' }).locator('.supplier').filter({ hasText: name })
  await ask.click()
  await expect(said).toContainText(/counter knows \d+ parts?, asked just now/)

  await page.getByRole('button', { name: `Open ${name}` }).click()
  await dialog.getByRole('button', { name: 'down', exact: true }).click()
  await dialog.getByRole('button', { name: 'Save supplier' }).click()
  await ask.click()
  await expect(said).toContainText('It did not answer. Using its last answer.')
})

test('what was decided is ordered, comes in part, and stands on the shelf', async ({ page }) => {
  // A shop of its own, so that nobody else counts its shelf.
  await signIn(page, LOWMOOR)
  const name = `Tube ${uuid().slice(-6)}`
  const part = {
    name,
    own_number: null,
    slots: ['seed_tube'],
    per_row: 1,
    price: 44,
    lead_days: 14,
    notes: '',
    heavy: false,
    clearance: false,
  }
  const type = (await call<{ id: number }>(page, 'POST', '/api/part-types', part)).body.id
  const { planter, walk } = await planterWithWalk(page, `Stocked ${uuid().slice(-6)}`, 4, null)
  const at = new Date(Date.now() - 60_000).toISOString()
  await call(page, 'POST', `/api/planters/${planter}/ledger`, {
    events: [1, 2, 3].map((row) => ({
      id: uuid(),
      kind: 'fitted',
      happened_at: '2025-03-01T10:00:00Z',
      row,
      slot: 'seed_tube',
      side: 'centre',
      reason: 'worn',
      part_type_id: type,
    })),
  })
  await call(page, 'POST', `/api/walks/${walk}/readings`, {
    readings: [1, 2, 3].map((row) => ({
      id: uuid(),
      row,
      check: 'seed_tube',
      side: 'centre',
      state: 'change',
      chips: ['curled_lip'],
      taken_at: at,
    })),
  })
  await page.goto(`/planters/${planter}/decide`)
  await page.getByRole('button', { name: 'Accept all proposals' }).click()
  await expect(page.getByText('All 3 decided')).toBeVisible()
  await page.getByRole('link', { name: 'Go to parts' }).click()

  const shelf = page.getByRole('region', { name: 'The shelf' })
  const row = shelf.getByRole('row').filter({ hasText: name })
  await expect(row).toContainText('not counted')
  await row.getByRole('button', { name: `Count or move: ${name}` }).click()
  const dialog = page.getByRole('dialog', { name })
  await dialog.getByLabel('Counted').fill('many')
  await dialog.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(dialog).toContainText('"many" is not a number')
  await dialog.getByLabel('Counted').fill('1')
  await dialog.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(row.getByRole('cell').nth(3)).toHaveText('2')

  await page.getByRole('button', { name: 'Draft orders' }).click()
  const order = page.getByRole('article', { name: /^Order/ }).filter({ hasText: name })
  await expect(order.getByLabel(`How many: ${name}`)).toHaveValue('2')
  await expect(page.getByRole('button', { name: 'Draft orders' })).toBeHidden()
  await order.getByRole('button', { name: 'Ordered today' }).click()
  await expect(order).toContainText('ordered on')
  await expect(order).toContainText(`2 × ${name}`)
  await expect(row.getByRole('cell').nth(2)).toHaveText('2')
  await order.getByLabel(`Received now: ${name}`).fill('1')
  await order.getByRole('button', { name: 'Put on the shelf' }).click()
  await expect(order).toContainText('1 received')
  await expect(row.getByRole('cell').nth(0)).toHaveText('2')
  const downloading = page.waitForEvent('download')
  await order.getByRole('link', { name: 'Export CSV' }).click()
  expect(readFileSync(await (await downloading).path(), 'utf8')).toContain(`"${name}",2,44,`)
})
