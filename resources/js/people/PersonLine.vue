<script setup lang="ts">
import type { NewLink, Person } from '@/api/types'
import { api, body } from '@/api/client'
import DropMenu from '@/components/DropMenu.vue'
import MenuLine from '@/components/MenuLine.vue'
import RefusalList from '@/components/RefusalList.vue'
import { useSend } from '@/composables/useSend'
import { dateAndTime } from '@/dates'
import { say } from '@/words'

/** One of the workshop's people: what they may do, and what can be done about them. */
const { person, isMe } = defineProps<{ person: Person; isMe: boolean }>()
const emit = defineEmits<{ changed: []; made: [link: NewLink] }>()
const ROLES = ['owner', 'technician', 'helper'] as const
const { send, refusal, busy } = useSend()
const params = { path: { person: person.id } }

async function change(edit: { role?: (typeof ROLES)[number]; is_active?: boolean }): Promise<void> {
  await send(() => api.PATCH('/api/people/{person}', { params, body: edit }))
  // What was refused shows as it is again.
  emit('changed')
}

const resetLink = () =>
  send(async () => emit('made', await body(api.POST('/api/people/{person}/reset-link', { params }))))
</script>

<template>
  <li :class="{ gone: !person.is_active }">
    <div class="who">
      <strong>{{ person.name }}</strong>
      <span v-if="isMe" class="quiet">, you</span>
      <span class="quiet line">
        {{ person.email }};
        {{ person.last_seen_at ? `last seen ${dateAndTime(person.last_seen_at)}` : 'not signed in anywhere' }}
      </span>
      <span v-if="!person.is_active" class="line">Access removed. Past entries keep the name.</span>
      <refusal-list :refusal="refusal" />
    </div>
    <select
      v-if="person.is_active"
      class="select"
      :value="person.role"
      :disabled="busy"
      :aria-label="`What ${person.name} may do`"
      @change="change({ role: ($event.target as HTMLSelectElement).value as (typeof ROLES)[number] })"
    >
      <option v-for="role in ROLES" :key="role" :value="role">{{ say(`role.${role}`) }}</option>
    </select>
    <drop-menu>
      <template #button="opens">
        <v-btn variant="text" :disabled="busy" :aria-label="`More about ${person.name}`" v-bind="opens">More</v-btn>
      </template>
      <template v-if="person.is_active">
        <menu-line title="Create password link" @click="resetLink" />
        <menu-line title="Remove access" @click="change({ is_active: false })" />
      </template>
      <menu-line v-else title="Restore access" @click="change({ is_active: true })" />
    </drop-menu>
  </li>
</template>

<style scoped>
li {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 4px 12px;
  min-height: 60px;
  padding: 6px 0;
  border-top: 1px solid var(--line);
}
.who {
  flex: 1 1 260px;
  min-width: 0;
}
.line {
  display: block;
  overflow-wrap: anywhere;
}
.gone strong {
  text-decoration: line-through;
}
</style>
