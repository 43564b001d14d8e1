<script setup lang="ts">
import type { CheckKey } from '@/api/types'
import { howTo } from '../howTo'

/** The last line of how a check is made: what to look for. Loaded behind the walk, with all how-tos. */
const { check } = defineProps<{ check: CheckKey }>()
</script>

<template>{{ howTo(check).at(-1) }}</template>
