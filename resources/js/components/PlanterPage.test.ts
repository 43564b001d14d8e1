import { mount } from '@vue/test-utils'
import { expect, it, vi } from 'vitest'
import { defineComponent } from 'vue'
import LoadingLines from './LoadingLines.vue'
import PlanterPage from './PlanterPage.vue'
import ScreenFaces from './ScreenFaces.vue'

vi.mock('vue-router', async (original) => ({ ...(await original()), useRouter: () => ({}) }))

/** A screen with the way to its neighbors, whose own part is there once its data are. */
const page = (template: string, props: Record<string, unknown> = {}) =>
  mount(
    defineComponent({
      components: { PlanterPage, ScreenFaces },
      setup: () => ({ props }),
      template: `<planter-page :planter-id="1" v-bind="props">${template}</planter-page>`,
    }),
    { global: { stubs: { AppBar: true, PhoneTabs: true, LoadProblem: true, RouterLink: true } } },
  )

it('shows at once that a screen loads which has nothing to show yet', () => {
  expect(page('<div v-if="false">plan</div>').find('[aria-label=Loading]').exists()).toBe(true)
  const faces = page('<screen-faces of="Field" /><template v-if="false"><p>log</p></template>')
  expect(faces.find('[aria-label=Loading]').exists()).toBe(true)
  expect(faces.find('nav').exists()).toBe(true)
})

it('shows the screen alone once there is something in it, or why there is not', () => {
  expect(page('<div>plan</div>').find('[aria-label=Loading]').exists()).toBe(false)
  expect(
    page('<div v-if="false" />', { error: new Error('no') })
      .find('[aria-label=Loading]')
      .exists(),
  ).toBe(false)
})

it('loads in as many lines as it is told', () => {
  expect(mount(LoadingLines, { props: { lines: 3 } }).findAll('span')).toHaveLength(3)
})
