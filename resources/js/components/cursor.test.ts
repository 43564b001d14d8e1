import { mount } from '@vue/test-utils'
import { expect, it, vi } from 'vitest'
import { vCursor } from './cursor'

const Form = {
  directives: { cursor: vCursor },
  template: '<form><div v-cursor><input id="first" /></div><input id="second" /></form>',
}

it('puts the cursor into the field at once, and never takes it away again', async () => {
  vi.useFakeTimers()
  const wrapper = mount(Form, { attachTo: document.body })
  expect(document.activeElement?.id).toBe('first')
  wrapper.get<HTMLElement>('#second').element.focus()
  vi.runAllTimers()
  expect(document.activeElement?.id).toBe('second')
  wrapper.unmount()
})

it('comes a moment later where the field cannot be typed into yet, unless somebody was faster', () => {
  vi.useFakeTimers()
  const closed = document.createElement('div')
  for (const isFaster of [false, true]) {
    // Not in the document: nothing can be focused yet.
    const wrapper = mount(Form, { attachTo: closed })
    document.body.append(closed)
    if (isFaster) wrapper.get<HTMLElement>('#second').element.focus()
    vi.runAllTimers()
    expect(document.activeElement?.id).toBe(isFaster ? 'second' : 'first')
    wrapper.unmount()
    closed.remove()
  }
})
