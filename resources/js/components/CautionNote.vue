<script setup lang="ts">
import type { Station } from '@/api/types'
import { say } from '@/words'

/** What can hurt at a station, for where hands go in: locked up first, and the operator's manual before all. */
defineProps<{ station: Station }>()
</script>

<template>
  <p class="caution">{{ say(`caution.${station}`) }} {{ say('caution.first') }}</p>
</template>
