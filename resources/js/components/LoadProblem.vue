<script setup lang="ts">
import { computed } from 'vue'
import { Refusal } from '@/api/client'

/** Says why a screen's data did not come, and offers to try again. Nothing while all is well. */
const { error } = defineProps<{ error: unknown }>()
defineEmits<{ again: [] }>()

const message = computed(() => {
  if (error === null || error === undefined) return ''
  if (error instanceof Refusal) return error.isSignedOut ? '' : error.message
  return 'The server does not answer. What you typed is saved on this device.'
})
</script>

<template>
  <div v-if="message" class="sheet problem" role="alert">
    <span>{{ message }}</span>
    <v-btn variant="outlined" @click="$emit('again')">Try again</v-btn>
  </div>
</template>

<style scoped>
.problem {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: var(--gap);
  border-color: var(--change);
}
</style>
