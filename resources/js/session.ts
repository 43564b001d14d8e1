import { usePreferredDark } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { api, body, Refusal, renewToken, speakAs } from './api/client'
import type { Me } from './api/types'
import { forget, keep, remembered } from './offline/remember'

const enter = (email: string, password: string) => body(api.POST('/api/sign-in', { body: { email, password } }))

/** Who is signed in on this device, and how they like it shown. */
export const useSession = defineStore('session', () => {
  const me = ref<Me | null>(null)
  /** Set while a session that was there has ended: the work stays on the screen and sign-in comes over it. */
  const lapsed = ref(false)
  const units = computed(() => me.value?.units ?? 'in')
  /** Where a day begins: the workshop's time zone. */
  const timeZone = computed(() => me.value?.time_zone ?? 'UTC')
  const isDarkDevice = usePreferredDark()
  /** The person's own choice, or else the device's. */
  const theme = computed<'light' | 'dark'>(() => {
    const chosen = me.value?.theme ?? 'device'
    if (chosen !== 'device') return chosen
    return isDarkDevice.value ? 'dark' : 'light'
  })

  function become(person: Me | null): void {
    speakAs(person?.id)
    me.value = person
  }

  /** Without a signal it is who was signed in last. */
  async function load(): Promise<void> {
    try {
      become(await remembered('me', (signal) => body(api.GET('/api/me', { signal }))))
    } catch (error) {
      if (!(error instanceof Refusal && error.isSignedOut)) throw error
      become(null)
    }
  }

  async function signIn(email: string, password: string): Promise<void> {
    speakAs(undefined)
    const person = await renewToken()
      .then(() => enter(email, password))
      .catch(async (error: unknown) => {
        // An answer that came late has taken the token along: once more with a fresh one.
        if (!(error instanceof Refusal && error.status === 419)) throw error
        await renewToken()
        return enter(email, password)
      })
    become(person)
    void keep('me', person)
  }

  async function signOut(): Promise<void> {
    await api.POST('/api/sign-out')
    if (me.value !== null) await forget(me.value.id)
    become(null)
  }

  async function change(settings: Partial<Pick<Me, 'units' | 'theme'>>): Promise<void> {
    if (me.value === null) return
    me.value = { ...me.value, ...settings }
    void keep('me', me.value)
    try {
      await api.PATCH('/api/me', { body: settings })
    } catch (error) {
      // Without a signal the setting holds on this device; it is only not remembered elsewhere.
      lapsed.value = error instanceof Refusal && error.isSignedOut
    }
  }

  return { me, lapsed, units, timeZone, theme, load, signIn, signOut, change }
})
