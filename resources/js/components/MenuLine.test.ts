import { mount, RouterLinkStub } from '@vue/test-utils'
import { expect, it, vi } from 'vitest'
import MenuLine from './MenuLine.vue'

const show = (props: object) =>
  mount(MenuLine, { props: { title: 'Meters', ...props }, global: { stubs: { RouterLink: RouterLinkStub } } })

it('goes to a place of the program, which it names', () => {
  const line = show({ to: { name: 'meters' }, active: true })
  expect(line.getComponent(RouterLinkStub).props('to')).toEqual({ name: 'meters' })
  expect(line.attributes('aria-current')).toBe('true')
})

it('gets a file from the server by its address', () => {
  const line = mount(MenuLine, {
    props: { title: 'Export CSV', href: '/api/walks/w/export.csv' },
    attrs: { download: '' },
  })
  expect(line.element.tagName).toBe('A')
  expect(line.attributes('href')).toBe('/api/walks/w/export.csv')
  expect(line.attributes('download')).toBeDefined()
})

it('does something where it leads nowhere, and never sends a form', async () => {
  const act = vi.fn()
  const line = mount(MenuLine, { props: { title: 'Sign out', subtitle: 'Wren' }, attrs: { onClick: act } })
  await line.trigger('click')
  expect(act).toHaveBeenCalledOnce()
  expect(line.attributes('type')).toBe('button')
  expect(line.text()).toContain('Wren')
})
