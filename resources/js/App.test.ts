import { flushPromises, mount } from '@vue/test-utils'
import { expect, it } from 'vitest'
import { createMemoryHistory, createRouter } from 'vue-router'
import { createVuetify } from 'vuetify'
import App from './App.vue'
import { useSession } from './session'
import { signInForTest } from './testing'

it('goes to sign-in where the session turns out to have ended, and back from there to where it was', async () => {
  signInForTest()
  const screen = { template: '<p>A screen</p>' }
  const router = createRouter({
    history: createMemoryHistory(),
    routes: [
      { path: '/planters/:planter/walk', component: screen },
      { path: '/sign-in', name: 'sign-in', component: screen },
    ],
  })
  await router.push('/planters/3/walk?row=2')
  mount(App, { global: { plugins: [createVuetify(), router], stubs: { VApp: { template: '<div><slot /></div>' } } } })
  expect(router.currentRoute.value.name).not.toBe('sign-in')
  useSession().ended = true
  await flushPromises()
  expect(router.currentRoute.value.name).toBe('sign-in')
  expect(router.currentRoute.value.query.to).toBe('/planters/3/walk?row=2')
})
