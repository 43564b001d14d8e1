import { expect, type Page } from '@playwright/test'
import { call, expectFaultless, planterWithWalk, signIn, test } from './support'

/** Planting starts in so many days; a walk is open. */
async function planterDue(page: Page, name: string, days: number): Promise<number> {
  const { planter } = await planterWithWalk(page, name, 2)
  const start = new Date(Date.now() + days * 86_400_000).toISOString().slice(0, 10)
  await call(page, 'PUT', `/api/planters/${planter}/season`, { revision: 0, planting_start: start })
  return planter
}
const of = (page: Page, name: string) => page.getByRole('region', { name, exact: true })

test('the bar leads through the shop, and Today to what is to be done, one planter after the other', async ({
  page,
}) => {
  await signIn(page)
  const planter = await planterDue(page, 'Early Bird', 10)
  const rooms = page.getByRole('navigation', { name: 'Shop', exact: true })
  for (const [room, heading] of [
    ['Parts', 'Parts on hand'],
    ['Seed', 'Seed and discs'],
    ['Meters', 'Meters'],
    ['People', 'People'],
    ['Shop', 'Shop figures'],
  ] as const) {
    await rooms.getByRole('link', { name: room, exact: true }).click()
    await expect(page.getByRole('heading', { level: 1 })).toContainText(heading)
  }
  await page.getByRole('navigation', { name: 'Shop', exact: true }).getByRole('link', { name: 'Today' }).click()
  await expect(of(page, 'Early Bird')).toContainText('10 days to planting')
  await expectFaultless(page)
  await of(page, 'Early Bird').getByRole('link', { name: 'Finish the walk' }).click()
  await expect(page).toHaveURL(`/planters/${planter}/walk`)
  // With a planter open the bar has its tabs.
  await expect(page.getByRole('navigation', { name: 'Planter', exact: true })).toBeVisible()
  await expect(rooms).toBeHidden()
})

test('what one has finished is gone from the list of the other', async ({ page, elsewhere }) => {
  await signIn(page)
  const planter = await planterDue(page, 'Shared List', 8)
  const other = await elsewhere()
  await signIn(other, 'idris@tollgate.example')
  for (const at of [page, other]) await at.goto('/today')
  for (const at of [page, other]) await expect(of(at, 'Shared List').getByText('Finish the walk')).toBeVisible()
  const { body } = await call<{ walk: { id: string } }>(page, 'GET', `/api/planters/${planter}/guide`)
  await call(page, 'POST', `/api/walks/${body.walk.id}/finish`, { with_unchecked: true })
  await other.reload()
  await expect(of(other, 'Shared List').getByText('Finish the walk')).toBeHidden()
})

test.describe('on the phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true })

  test('Ustrel opens with Today, and shows it without a signal with what waits to sync', async ({ page }) => {
    await signIn(page)
    await expect(page).toHaveURL('/today')
    const planter = await planterDue(page, 'Pocket List', 9)
    await page.goto(`/planters/${planter}/field`)
    await expect(page.getByRole('heading', { name: 'Planting log' })).toBeVisible()
    await page.goto('/today')
    await expect(of(page, 'Pocket List').getByText('Finish the walk')).toBeVisible()
    const foot = page.getByRole('navigation', { name: 'Shop, at the foot' })
    await expect(foot.getByRole('link')).toHaveText(['Planters', 'Today', 'Parts', 'Seed'])
    const small = await page
      .locator('main a, .foot a, .foot button')
      .evaluateAll(
        (all) => all.filter((one) => one.checkVisibility() && one.getBoundingClientRect().height < 47.5).length,
      )
    expect(small).toBe(0)

    await page.route('**/api/**', (route) => route.abort())
    await page.goto(`/planters/${planter}/field`)
    await page.getByLabel('What you planted').fill('10 ac, Long Field, popcorn')
    await page.getByRole('button', { name: 'Log', exact: true }).click()
    await expect(page.getByText('1 waiting')).toBeVisible()
    await page.goto('/today')
    await expect(page.getByText('1 entry to sync')).toBeVisible()
    await expect(of(page, 'Pocket List').getByText('Finish the walk')).toBeVisible()
    // The tabs at the foot cover nothing.
    await page.evaluate(() => window.scrollTo(0, document.body.scrollHeight))
    const last = await page.locator('main li').last().boundingBox()
    const tabs = await foot.boundingBox()
    expect((last?.y ?? 0) + (last?.height ?? 0)).toBeLessThanOrEqual(tabs?.y ?? 0)
    await page.unroute('**/api/**')
  })
})
