import { VueQueryPlugin } from '@tanstack/vue-query'
import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { createVuetify } from 'vuetify'
import type { WalkGuide } from '@/api/types'
import { scraperCheck, guideOf, signInForTest } from '@/testing'

const PACKS = [
  { id: null, name: 'Yearly', version: null, kind: 'pre_season', checks: null, needs: [] },
  {
    id: null,
    name: 'Two tools',
    version: null,
    kind: 'in_season',
    checks: ['opener_blade_diameter', 'blade_contact_length'],
    needs: ['opener_blade_diameter', 'blade_contact_length'],
  },
  {
    id: null,
    name: 'Beet planter',
    version: null,
    kind: 'pre_season',
    checks: ['opener_blade_diameter'],
    needs: ['opener_blade_diameter', 'press_wheel'],
  },
]
vi.hoisted(() => {
  globalThis.fetch = () => Promise.resolve(Response.json([]))
})
vi.mock('@/walk/queries', async (original) => {
  const { ref } = await import('vue')
  return {
    ...(await original<object>()),
    usePacks: () => ({ data: ref(PACKS), isPending: ref(false) }),
    useBoard: () => ({ data: ref(undefined) }),
  }
})
const { queries } = await import('@/api/queries')
const { default: StartWalk } = await import('./StartWalk.vue')

/** 24 rows of two blades and a contact, and one look at each. */
function guide(pace: WalkGuide['pace']): WalkGuide {
  const of = guideOf(24)
  const looks = Array.from({ length: 24 }, (_, row) => ({
    row: row + 1,
    check: scraperCheck.key,
    side: 'left' as const,
    now: null,
    last: null,
  }))
  return { ...of, walk: null, checks: [...of.checks, scraperCheck], steps: [...of.steps, ...looks], pace }
}

async function start(pace: WalkGuide['pace']) {
  const wrapper = mount(StartWalk, {
    props: { planterId: 1, guide: guide(pace) },
    global: {
      plugins: [createVuetify(), [VueQueryPlugin, { queryClient: queries }]],
      stubs: { RouterLink: true, WalkActions: true },
    },
  })
  await flushPromises()
  return wrapper
}

describe('before a walk', () => {
  beforeEach(() => signInForTest())

  it('tells how long it takes, figures and looks each at their own pace', async () => {
    const wrapper = await start({ figure: 50, look: 5, own: true })
    // 72 figures of 50 s and 24 looks of 5 s: 62 minutes, to five.
    expect(wrapper.text()).toContain('96 readings on 24 rows, about 1 h at your pace.')
    await wrapper
      .findAll('button')
      .find((button) => button.text() === 'Two tools')!
      .trigger('click')
    expect(wrapper.text()).toContain('72 readings on 24 rows, about 1 h at your pace.')
    const fast = await start({ figure: 5, look: 100, own: false })
    // 6 minutes and 40.
    expect(fast.text()).toContain('about 45 min at a typical pace.')
  })

  it('says nothing of time where nobody knows', async () => {
    expect((await start(null)).text()).toContain('96 readings on 24 rows. Only what')
  })

  it('offers only packs that the planter has all the needs of', async () => {
    const names = (await start(null)).findAll('.packs button').map((button) => button.text())
    expect(names).toEqual(['Yearly', 'Two tools', 'By hand'])
  })
})
