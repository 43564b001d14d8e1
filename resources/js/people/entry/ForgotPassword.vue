<script setup lang="ts">
import { ref } from 'vue'
import { api } from '@/api/client'
import { vCursor } from '@/components/cursor'
import RefusalList from '@/components/RefusalList.vue'
import { useSend } from '@/composables/useSend'

const emit = defineEmits<{ back: [] }>()
const email = ref('')
const isSent = ref(false)
const { send, refusal, busy } = useSend()

async function ask(): Promise<void> {
  isSent.value = await send(() => api.POST('/api/password/forgot', { body: { email: email.value } }))
}
</script>

<template>
  <p v-if="isSent" role="status">
    If this email has an account, a link is on its way. If your shop does not send mail, ask an owner for a link.
  </p>
  <form v-else class="ask" novalidate @submit.prevent="ask">
    <v-text-field v-model="email" v-cursor label="Your email" type="email" autocomplete="username" />
    <refusal-list :refusal="refusal" />
    <v-btn type="submit" color="primary" size="large" block :loading="busy">Send link</v-btn>
  </form>
  <v-btn variant="text" @click="emit('back')">Back</v-btn>
</template>

<style scoped>
.ask {
  display: grid;
  gap: var(--gap);
}
</style>
