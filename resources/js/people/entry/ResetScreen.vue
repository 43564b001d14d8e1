<script setup lang="ts">
import { ref } from 'vue'
import { useRouter } from 'vue-router'
import { api, body } from '@/api/client'
import RefusalList from '@/components/RefusalList.vue'
import { useSend } from '@/composables/useSend'
import { useSession } from '@/session'
import EntryPage from './EntryPage.vue'
import NewPassword from './NewPassword.vue'
import { useLink } from './useLink'

const link = useLink()
const router = useRouter()
const session = useSession()
const password = ref('')
const { send, refusal, busy } = useSend()

async function reset(): Promise<void> {
  const sent = { link, password: password.value }
  const isIn = await send(() => session.enter(() => body(api.POST('/api/password/reset', { body: sent }))))
  if (isIn) await router.replace('/')
}
</script>

<template>
  <entry-page title="New password">
    <form class="fields" novalidate @submit.prevent="reset">
      <p class="quiet">You will be signed in here and signed out everywhere else.</p>
      <new-password v-model="password" :refusal="refusal" />
      <refusal-list v-if="refusal && !refusal.about('password')" :refusal="refusal" />
      <v-btn type="submit" color="primary" size="large" block :loading="busy">Set password</v-btn>
    </form>
  </entry-page>
</template>

<style scoped>
.fields {
  display: grid;
  gap: 14px;
}
</style>
