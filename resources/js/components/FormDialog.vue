<script setup lang="ts">
import type { Refusal } from '@/api/client'
import RefusalList from './RefusalList.vue'

/** A form over the screen: what it asks, what was wrong with it, and the buttons below. */
const {
  label,
  refusal,
  busy = false,
  disabled = false,
  width = 620,
  back = 'Cancel',
  canSave = true,
} = defineProps<{
  /** For who cannot see it. */
  label: string
  refusal: Refusal | null
  busy?: boolean
  disabled?: boolean
  /** In pixels, at most. */
  width?: number | string
  back?: string
  canSave?: boolean
}>()
const emit = defineEmits<{ save: []; close: [] }>()
</script>

<template>
  <v-dialog :model-value="true" :max-width="width" :aria-label="label" @update:model-value="emit('close')">
    <form class="sheet asks" novalidate @submit.prevent="emit('save')">
      <h2><slot name="title" /></h2>
      <slot />
      <refusal-list :refusal="refusal" />
      <div class="actions">
        <v-btn variant="text" @click="emit('close')">{{ back }}</v-btn>
        <slot name="more" />
        <v-btn v-if="canSave" type="submit" color="primary" :loading="busy" :disabled="disabled"
          ><slot name="save"
        /></v-btn>
      </div>
    </form>
  </v-dialog>
</template>
