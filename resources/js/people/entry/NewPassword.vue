<script setup lang="ts">
import { ref } from 'vue'
import type { Refusal } from '@/api/client'

const password = defineModel<string>({ required: true })
const { refusal } = defineProps<{ refusal: Refusal | null }>()
const isShown = ref(false)
</script>

<template>
  <v-text-field
    v-model="password"
    label="A password"
    :type="isShown ? 'text' : 'password'"
    autocomplete="new-password"
    hint="12 characters or more. A few words that only you put together are good."
    persistent-hint
    hide-details="auto"
    :error-messages="refusal?.about('password')"
  />
  <v-checkbox v-model="isShown" label="Show what I type" density="compact" hide-details />
</template>
