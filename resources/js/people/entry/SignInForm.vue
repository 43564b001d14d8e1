<script setup lang="ts">
import { ref } from 'vue'
import { vCursor } from '@/components/cursor'
import { useSend } from '@/composables/useSend'
import { useSession } from '@/session'

const emit = defineEmits<{ signedIn: [] }>()
const session = useSession()
const email = ref('')
const password = ref('')
const { send, refusal, busy } = useSend('The server does not answer. Try again in a moment.')

async function signIn(): Promise<void> {
  if (await send(() => session.signIn(email.value, password.value))) emit('signedIn')
}
</script>

<template>
  <form class="form" @submit.prevent="signIn">
    <v-text-field v-model="email" v-cursor label="Email" type="email" autocomplete="username" required />
    <v-text-field v-model="password" label="Password" type="password" autocomplete="current-password" required />
    <p v-if="refusal" class="change" role="alert">{{ refusal.message }}</p>
    <v-btn type="submit" color="primary" size="large" block :loading="busy">Sign in</v-btn>
  </form>
</template>

<style scoped>
.form {
  display: grid;
  gap: var(--gap);
}
</style>
