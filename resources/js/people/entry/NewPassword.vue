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
    label="Password"
    :type="isShown ? 'text' : 'password'"
    autocomplete="new-password"
    hint="12 characters or more. Several unrelated words work well."
    persistent-hint
    hide-details="auto"
    :error-messages="refusal?.about('password')"
  />
  <v-checkbox v-model="isShown" label="Show password" density="compact" hide-details />
</template>
