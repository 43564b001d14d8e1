import { usePreferredDark } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { api, body, Refusal, renewToken, speakAs } from './api/client'
import type { Me } from './api/types'
import { clearDevice, keep, lastKept, owesSignOut, remembered } from './offline/remember'
import { seal, unseal } from './offline/seal'

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

  /** What somebody has waiting on the device is opened as they come. */
  async function arrive(person: Me): Promise<void> {
    await unseal(person.id, person.seal).catch((error: unknown) => console.warn('Not opened', error))
    become(person)
  }

  /** And sealed as they go. */
  async function leave(person: Me): Promise<void> {
    await seal(person.id, person.seal).catch((error: unknown) => console.warn('Not sealed', error))
  }

  /** Without a signal it is who was signed in last. */
  async function load(): Promise<void> {
    if (await owesSignOut.isOwed()) {
      await tellSignedOut()
      if (await owesSignOut.isOwed()) return
    }
    try {
      await arrive(await remembered('me', (signal) => body(api.GET('/api/me', { signal }))))
    } catch (error) {
      if (!(error instanceof Refusal && error.isSignedOut)) throw error
      // The session has ended meanwhile: who was here last has left.
      const last = await lastKept<Me>('me')
      if (last) await leave(last)
      become(null)
    }
  }

  /** Lets somebody in: with a password, or by a link. */
  async function enter(ask: () => Promise<Me>): Promise<void> {
    speakAs(undefined)
    const person = await renewToken()
      .then(ask)
      .catch(async (error: unknown) => {
        // An answer that came late has taken the token along: once more with a fresh one.
        if (!(error instanceof Refusal && error.status === 419)) throw error
        await renewToken()
        return ask()
      })
    await owesSignOut.settle()
    if (me.value !== null && me.value.id !== person.id) await leave(me.value)
    await arrive(person)
    void keep('me', person)
  }

  const signIn = (email: string, password: string) =>
    enter(() => body(api.POST('/api/sign-in', { body: { email, password } })))

  /** Without a signal too: the device forgets the person at once, and the server is told when it can be reached. */
  async function signOut(): Promise<void> {
    const person = me.value
    // First: what is sealed in the following is no other tab's doing.
    become(null)
    if (person !== null) {
      await leave(person)
      await clearDevice()
    }
    await owesSignOut.owe()
    await tellSignedOut()
  }

  async function tellSignedOut(): Promise<void> {
    try {
      await api.POST('/api/sign-out')
    } catch (error) {
      if (!(error instanceof Refusal && error.isSignedOut)) return
    }
    await owesSignOut.settle()
  }

  const may = (ability: Me['may'][number]) => me.value?.may.includes(ability) ?? false

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

  return { me, lapsed, units, timeZone, theme, may, load, enter, signIn, signOut, change }
})
