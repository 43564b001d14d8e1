<script setup lang="ts">
import { useShop } from '@/api/queries'
import AppBar from '@/components/AppBar.vue'
import LoadProblem from '@/components/LoadProblem.vue'
import AimsPanel from '@/spec/AimsPanel.vue'
import LubricationPanel from '@/work/LubricationPanel.vue'
import ShopForm from './ShopForm.vue'
import ShopMoney from './ShopMoney.vue'
import ScreenFaces from '@/components/ScreenFaces.vue'

const shop = useShop()
</script>

<template>
  <app-bar />
  <main class="page">
    <screen-faces of="Shop" />
    <load-problem :error="shop.error.value" @again="shop.refetch()" />
    <template v-if="shop.data.value">
      <h1>Shop figures</h1>
      <shop-money :shop="shop.data.value" />
      <aims-panel />
      <lubrication-panel />
      <shop-form :shop="shop.data.value" />
    </template>
  </main>
</template>
