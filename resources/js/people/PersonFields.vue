<script setup lang="ts">
import type { Refusal } from '@/api/client'
import NewPassword from '@/people/entry/NewPassword.vue'

/** Who somebody says to be, where they come in for the first time. */
const person = defineModel<{ name: string; email: string; password: string }>({ required: true })
const { refusal } = defineProps<{ refusal: Refusal | null }>()
</script>

<template>
  <v-text-field
    v-model="person.name"
    label="Your name"
    autocomplete="name"
    maxlength="80"
    :error-messages="refusal?.about('name')"
  />
  <v-text-field
    v-model="person.email"
    label="Your email"
    type="email"
    autocomplete="username"
    :error-messages="refusal?.about('email')"
  />
  <new-password v-model="person.password" :refusal="refusal" />
</template>
