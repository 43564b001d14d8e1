import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { api, body, Refusal, renewToken } from './api/client'
import type { Me } from './api/types'

/** Who is signed in on this device, and how they like it shown. */
export const useSession = defineStore('session', () => {
  const me = ref<Me | null>(null)
  /** Set while a session that was there has ended: the work stays on the screen and sign-in comes over it. */
  const lapsed = ref(false)
  const units = computed(() => me.value?.units ?? 'in')
  const theme = computed(() => me.value?.theme ?? 'light')

  async function load(): Promise<void> {
    try {
      me.value = await body(api.GET('/api/me'))
    } catch (error) {
      if (!(error instanceof Refusal && error.isSignedOut)) throw error
      me.value = null
    }
  }

  async function signIn(email: string, password: string): Promise<void> {
    await renewToken()
    me.value = await body(api.POST('/api/sign-in', { body: { email, password } }))
  }

  async function signOut(): Promise<void> {
    await api.POST('/api/sign-out')
    me.value = null
  }

  async function change(settings: Partial<Pick<Me, 'units' | 'theme'>>): Promise<void> {
    if (me.value === null) return
    me.value = { ...me.value, ...settings }
    try {
      await api.PATCH('/api/me', { body: settings })
    } catch (error) {
      // Without a signal the setting holds on this screen; it is only not remembered.
      lapsed.value = error instanceof Refusal && error.isSignedOut
    }
  }

  return { me, lapsed, units, theme, load, signIn, signOut, change }
})
