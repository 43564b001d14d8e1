<script setup lang="ts">
import { ref } from 'vue'
import { api, body } from '@/api/client'
import type { NewLink } from '@/api/types'
import RefusalList from '@/components/RefusalList.vue'
import { useSend } from '@/composables/useSend'
import { say } from '@/words'

const emit = defineEmits<{ made: [link: NewLink]; close: [] }>()
const ROLES = ['technician', 'helper', 'owner'] as const
const role = ref<(typeof ROLES)[number]>('technician')
const email = ref('')
const { send, refusal, busy } = useSend()

const invite = () =>
  send(async () => {
    const sent = { role: role.value, email: email.value.trim() || null }
    emit('made', await body(api.POST('/api/people/invitations', { body: sent })))
  })
</script>

<template>
  <v-dialog :model-value="true" max-width="520" aria-label="Invite someone" @update:model-value="emit('close')">
    <form class="sheet asks" novalidate @submit.prevent="invite">
      <h2>Invite someone</h2>
      <fieldset>
        <legend class="spoken">As</legend>
        <label v-for="one in ROLES" :key="one" class="role">
          <input v-model="role" type="radio" name="role" :value="one" />
          <span>
            <strong>{{ say(`role.${one}`) }}</strong>
            <span class="quiet">{{ say(`role_does.${one}`) }}</span>
          </span>
        </label>
      </fieldset>
      <v-text-field
        v-model="email"
        label="Email (only that person can use the link)"
        type="email"
        hint="Ustrel emails the link if your shop sends mail. Without an email, anyone with the link can join."
        persistent-hint
        :error-messages="refusal?.about('email')"
      />
      <refusal-list v-if="refusal && !refusal.about('email')" :refusal="refusal" />
      <div class="actions">
        <v-btn variant="text" size="large" @click="emit('close')">Cancel</v-btn>
        <v-btn type="submit" color="primary" size="large" :loading="busy">Create link</v-btn>
      </div>
    </form>
  </v-dialog>
</template>

<style scoped>
fieldset {
  border: 0;
  padding: 0;
}
.role {
  display: flex;
  align-items: center;
  gap: 12px;
  min-height: var(--touch);
  padding: 6px 0;
}
.role input {
  width: 24px;
  height: 24px;
  flex: none;
}
.role span span {
  display: block;
}
</style>
