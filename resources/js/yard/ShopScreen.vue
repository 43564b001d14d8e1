<script setup lang="ts">
import { useShop } from '@/api/queries'
import AppBar from '@/components/AppBar.vue'
import LoadProblem from '@/components/LoadProblem.vue'
import ShopForm from './ShopForm.vue'

const shop = useShop()
</script>

<template>
  <app-bar />
  <main class="page">
    <load-problem :error="shop.error.value" @again="shop.refetch()" />
    <shop-form v-if="shop.data.value" :shop="shop.data.value" />
  </main>
</template>
