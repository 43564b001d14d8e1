<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { computed, ref } from 'vue'
import { api, body } from '@/api/client'
import AppBar from '@/components/AppBar.vue'
import LoadProblem from '@/components/LoadProblem.vue'
import RefusalList from '@/components/RefusalList.vue'
import { useSend } from '@/composables/useSend'
import { dateAndTime } from '@/dates'
import { useSession } from '@/session'
import { say } from '@/words'
import { deviceName } from './deviceName'
import NewPassword from '@/people/entry/NewPassword.vue'

/** One's own password, and where one is signed in. */
const version = __VERSION__
const session = useSession()
const current = ref('')
const password = ref('')
const isChanged = ref(false)
const { send, refusal, busy } = useSend()
const devices = useQuery({ queryKey: ['devices'], queryFn: () => body(api.GET('/api/me/devices')), staleTime: 0 })
const others = computed(() => (devices.data.value ?? []).filter((one) => !one.is_this))

async function change(): Promise<void> {
  const sent = { current: current.value, password: password.value }
  isChanged.value = await send(() => api.PUT('/api/me/password', { body: sent }))
  if (!isChanged.value) return
  current.value = password.value = ''
  await devices.refetch()
}

async function end(device?: string): Promise<void> {
  if (device === undefined) await api.DELETE('/api/me/devices')
  else await api.DELETE('/api/me/devices/{device}', { params: { path: { device } } })
  await devices.refetch()
}
</script>

<template>
  <app-bar />
  <main class="page">
    <h1>{{ session.me?.name }}</h1>
    <p class="quiet">
      {{ session.me?.email }}; {{ say(`role.${session.me?.role}`).toLowerCase() }} of {{ session.me?.workshop }}
    </p>
    <form class="sheet fields" novalidate @submit.prevent="change">
      <h2>Change password</h2>
      <v-text-field
        v-model="current"
        label="Current password"
        type="password"
        autocomplete="current-password"
        :error-messages="refusal?.about('current')"
      />
      <new-password v-model="password" :refusal="refusal" />
      <refusal-list v-if="refusal && !Object.keys(refusal.errors).length" :refusal="refusal" />
      <p v-if="isChanged" role="status">Password changed. All other devices are signed out.</p>
      <v-btn type="submit" color="primary" size="large" class="do" :loading="busy">Change password</v-btn>
    </form>
    <section class="sheet">
      <h2>Where you are signed in</h2>
      <load-problem :error="devices.error.value" @again="devices.refetch()" />
      <ul>
        <li v-for="device in devices.data.value" :key="device.id">
          <div>
            <strong>{{ deviceName(device.agent) }}</strong>
            <span class="quiet"
              >{{ device.is_this ? 'this device' : `last seen ${dateAndTime(device.last_seen_at)}` }}; from
              {{ device.ip }}</span
            >
          </div>
          <v-btn
            v-if="!device.is_this"
            variant="text"
            :aria-label="`Sign out on ${deviceName(device.agent)}`"
            @click="end(device.id)"
            >Sign out</v-btn
          >
        </li>
      </ul>
      <v-btn v-if="others.length > 1" variant="outlined" size="large" @click="end()">Sign out everywhere else</v-btn>
    </section>
    <p class="quiet">Ustrel {{ version }}</p>
  </main>
</template>

<style scoped>
.fields {
  display: grid;
  gap: 12px;
}
.do {
  justify-self: start;
}
ul {
  list-style: none;
  padding: 0;
  margin-top: 8px;
}
li {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 12px;
  min-height: 60px;
  border-top: 1px solid var(--line);
}
li span {
  display: block;
}
</style>
