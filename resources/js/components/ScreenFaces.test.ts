import { mount, RouterLinkStub } from '@vue/test-utils'
import { expect, it } from 'vitest'
import ScreenFaces from './ScreenFaces.vue'

const links = (props: { of: 'Field' | 'Parts' | 'Shop'; planterId?: number }) =>
  mount(ScreenFaces, { props, global: { stubs: { RouterLink: RouterLinkStub } } }).findAllComponents(RouterLinkStub)

it('leads to the screens of a planter', () => {
  const field = links({ of: 'Field', planterId: 7 })
  expect(field.map((link) => link.text())).toEqual([
    'First pass',
    'Row watch',
    'Emergence',
    'Settings',
    'Calculators',
    'Log',
  ])
  expect(field[1]?.props('to')).toEqual({ name: 'row-watch', params: { planter: 7 } })
})

it('leads to the screens of the shop', () => {
  expect(links({ of: 'Parts' }).map((link) => link.props('to') as unknown)).toEqual([
    { name: 'store', params: {} },
    { name: 'part-types', params: {} },
  ])
  expect(links({ of: 'Shop' }).map((link) => link.text())).toEqual(['Shop figures', 'Spec sheets'])
})
