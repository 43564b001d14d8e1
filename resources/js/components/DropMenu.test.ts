import { enableAutoUnmount, mount } from '@vue/test-utils'
import { afterEach, expect, it, vi } from 'vitest'
import DropMenu from './DropMenu.vue'

enableAutoUnmount(afterEach)

function show() {
  const wrapper = mount(DropMenu, {
    attachTo: document.body,
    slots: {
      button: '<template #button="opens"><button v-bind="opens">More</button></template>',
      default: '<button class="line">Sign out</button>',
    },
  })
  const list = wrapper.get('[popover]')
  const toggle = (newState: string) => list.trigger('beforetoggle', { newState })
  return { wrapper, list, toggle }
}

it('is opened by its own button', () => {
  const { wrapper, list } = show()
  expect(wrapper.get('button').attributes('popovertarget')).toBe(list.attributes('id'))
})

it('has its lines only while it is open, and closes when one is chosen', async () => {
  const { wrapper, list, toggle } = show()
  expect(wrapper.find('.line').exists()).toBe(false)
  await toggle('open')
  const hide = vi.fn()
  Object.assign(list.element, { hidePopover: hide })
  await wrapper.get('.line').trigger('click')
  expect(hide).toHaveBeenCalledOnce()
  await toggle('closed')
  expect(wrapper.find('.line').exists()).toBe(false)
})

it('stands under its button at the left, and above it at the right where that is low', async () => {
  const { wrapper, list, toggle } = show()
  const style = (list.element as HTMLElement).style
  const at = (left: number, top: number) =>
    (wrapper.get('button').element.getBoundingClientRect = () => new DOMRect(left, top, 40, 40))
  at(10, 10)
  await toggle('open')
  expect([style.left, style.right, style.top, style.bottom]).toEqual(['10px', 'auto', '54px', 'auto'])
  at(innerWidth - 40, innerHeight - 40)
  await toggle('open')
  expect([style.left, style.right, style.top, style.bottom]).toEqual(['auto', '8px', 'auto', '44px'])
})
