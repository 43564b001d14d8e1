import { expect } from '@playwright/test'
import { call, expectFaultless, keptOnDevice, planterWithWalk, signIn, test } from './support'

test.use({ serviceWorkers: 'allow' })

const pdf = (text: string) => ({
  name: 'Row units.pdf',
  mimeType: 'application/pdf',
  buffer: Buffer.from(`%PDF-1.4\n${text}\n%%EOF\n`),
})

test('a manual is attached, its page noted at a check, and it opens without a signal', async ({ page, context }) => {
  await signIn(page)
  const { planter } = await planterWithWalk(page, 'With a manual', 4)
  await page.goto(`/planters/${planter}/edit`)
  const manuals = page.getByRole('region', { name: 'Operator’s manuals' })
  const file = manuals.locator('input[type=file]')
  await file.setInputFiles({ ...pdf('x'), name: 'a.zip', buffer: Buffer.from('PK') })
  await expect(manuals.getByRole('alert')).toContainText('“a.zip” is not a PDF')
  await file.setInputFiles(pdf(`Opener blades ${planter}`))
  await expect(manuals.getByRole('textbox', { name: 'Name' })).toHaveValue('Row units')
  await expectFaultless(page)

  await page.goto(`/planters/${planter}/walk`)
  const line = page.getByRole('region', { name: 'Operator’s manual', exact: true })
  await line.getByRole('button', { name: 'Note the page' }).click()
  await line.getByLabel('PDF page').fill('41')
  await line.getByRole('button', { name: 'Save page' }).click()
  const link = line.getByRole('link', { name: 'Row units, page 41' })
  await expect(link).toBeVisible()
  await expectFaultless(page)

  // Two people note pages over one another: the second is told, and nothing is lost.
  const { body } = await call<{ id: number; revision: number; pages: object }[]>(
    page,
    'GET',
    `/api/planters/${planter}/manuals`,
  )
  const [manual] = body
  const stale = { name: 'Row units', pages: { seed_tube: 9 }, revision: (manual?.revision ?? 0) - 1 }
  expect((await call(page, 'PUT', `/api/manuals/${manual?.id}`, stale)).status).toBe(409)

  // Opened once, it is on the device.
  const address = (await link.getAttribute('href'))?.replace(/#.*/, '') ?? ''
  const read = () => page.evaluate(async (of) => (await fetch(of)).text(), address)
  await keptOnDevice(page)
  await expect(async () => {
    await read()
    const isKept = (of: string) => caches.open('manuals').then(async (cache) => (await cache.match(of)) !== undefined)
    expect(await page.evaluate(isKept, address)).toBe(true)
  }).toPass()
  await context.setOffline(true)
  expect(await read()).toContain(`Opener blades ${planter}`)
  await context.setOffline(false)
})
