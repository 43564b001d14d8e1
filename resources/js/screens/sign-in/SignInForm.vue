<script setup lang="ts">
import { ref } from 'vue'
import { Refusal } from '@/api/client'
import { useSession } from '@/session'

const emit = defineEmits<{ signedIn: [] }>()
const session = useSession()
const email = ref('')
const password = ref('')
const problem = ref('')
const busy = ref(false)

async function signIn(): Promise<void> {
  busy.value = true
  problem.value = ''
  try {
    await session.signIn(email.value, password.value)
    emit('signedIn')
  } catch (error) {
    problem.value = error instanceof Refusal ? error.message : 'The server does not answer. Try again in a moment.'
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <form class="form" @submit.prevent="signIn">
    <v-text-field v-model="email" label="Email" type="email" autocomplete="username" required autofocus />
    <v-text-field v-model="password" label="Password" type="password" autocomplete="current-password" required />
    <p v-if="problem" class="change" role="alert">{{ problem }}</p>
    <v-btn type="submit" color="primary" size="large" block :loading="busy">Sign in</v-btn>
  </form>
</template>

<style scoped>
.form {
  display: grid;
  gap: var(--gap);
}
</style>
