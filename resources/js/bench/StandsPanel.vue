<script setup lang="ts">
import { computed, ref } from 'vue'
import { api, body } from '@/api/client'
import { queries } from '@/api/queries'
import RefusalList from '@/components/RefusalList.vue'
import { useSend } from '@/composables/useSend'
import { standsKey, useStands } from './queries'
import { dateAndTime } from '@/dates'

/** Test stands or row monitors that may deliver what they count: each has a token, which is shown once and can be ended. */
const { kind = 'stand' } = defineProps<{ kind?: 'stand' | 'monitor' }>()
const all = useStands()
const stands = computed(() => (all.data.value ?? []).filter((one) => one.kind === kind))
const { send, refusal, busy } = useSend()
const name = ref('')
const token = ref('')

async function add(): Promise<void> {
  token.value = ''
  await send(async () => {
    const made = await body(api.POST('/api/stands', { body: { name: name.value, kind } }))
    token.value = made.token
    name.value = ''
    await queries.invalidateQueries({ queryKey: standsKey })
  })
}
async function remove(id: number): Promise<void> {
  token.value = ''
  await send(async () => {
    await api.DELETE('/api/stands/{stand}', { params: { path: { stand: id } } })
    await queries.invalidateQueries({ queryKey: standsKey })
  })
}
</script>

<template>
  <details class="sheet">
    <summary>{{ kind === 'stand' ? 'Test stands' : 'Row monitors' }} of this shop</summary>
    <ul>
      <li v-for="stand in stands" :key="stand.id">
        <span
          ><strong>{{ stand.name }}</strong>
          <span class="quiet">{{
            stand.heard_at === null ? ' · not heard yet' : ` · last data ${dateAndTime(stand.heard_at)}`
          }}</span></span
        >
        <v-btn variant="text" :aria-label="`Remove access of ${stand.name}`" :loading="busy" @click="remove(stand.id)"
          >Remove access</v-btn
        >
      </li>
    </ul>
    <p v-if="token" role="status">
      Token, shown only once: <code>{{ token }}</code>
    </p>
    <form novalidate @submit.prevent="add">
      <v-text-field v-model="name" :label="`Name of a ${kind}`" maxlength="80" />
      <v-btn variant="outlined" size="large" type="submit" :loading="busy">Add device</v-btn>
    </form>
    <refusal-list :refusal="refusal" />
  </details>
</template>

<style scoped>
summary {
  display: flex;
  align-items: center;
  min-height: var(--touch);
  font-weight: 700;
  cursor: pointer;
}
ul {
  margin: 0;
  padding: 0;
  list-style: none;
}
li,
form {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 8px;
}
form > :first-child {
  flex: 1 1 180px;
}
code {
  overflow-wrap: anywhere;
}
</style>
