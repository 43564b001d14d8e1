import { flushPromises, mount, RouterLinkStub } from '@vue/test-utils'
import { expect, it, vi } from 'vitest'
import HelpScreen from './HelpScreen.vue'

const way = vi.hoisted(() => ({ route: { hash: '' }, push: vi.fn(() => Promise.resolve()) }))
vi.mock('vue-router', async (original) => ({
  ...(await original()),
  useRoute: () => way.route,
  useRouter: () => ({ push: way.push }),
}))

async function page(chapter?: string) {
  const wrapper = mount(HelpScreen, {
    props: { chapter },
    attachTo: document.body,
    global: { stubs: { AppBar: true, RouterLink: RouterLinkStub } },
  })
  await vi.waitFor(() => expect(chapter === 'nowhere' || wrapper.find('.text').text() !== '').toBe(true))
  await flushPromises()
  return wrapper
}

it('opens with the first chapter and lists all, the sections of the open one below it', async () => {
  const help = await page()
  expect(help.get('h1').text()).toBe('First day')
  expect(help.findAll('nav > ol > li')).toHaveLength(10)
  expect(help.findAll('nav ul a').map((one) => one.text())).toContain('Stay safe')
})

it('brings the section of the address into view', async () => {
  way.route.hash = '#median'
  const seen: string[] = []
  Element.prototype.scrollIntoView = function () {
    seen.push(this.id)
  }
  await page('odds')
  expect(seen).toEqual(['median'])
  way.route.hash = ''
})

it('follows its links within the application, without a signal too', async () => {
  const help = await page('odds')
  await help.get('.text a[href="/help/shop#shop-figures"]').trigger('click')
  expect(way.push).toHaveBeenCalledWith('/help/shop#shop-figures')
})

it('says that there is no such page, and still lists those that there are', async () => {
  const help = await page('nowhere')
  expect(help.text()).toContain('There is no such page.')
  expect(help.findAll('nav > ol > li')).toHaveLength(10)
})
