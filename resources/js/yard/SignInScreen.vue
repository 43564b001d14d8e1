<script setup lang="ts">
import { useRoute, useRouter } from 'vue-router'
import RowUnitDrawing from '@/drawings/RowUnitDrawing.vue'
import SignInForm from './SignInForm.vue'

const route = useRoute()
const router = useRouter()

function enter(): void {
  const to = route.query.to
  void router.replace(typeof to === 'string' && to.startsWith('/') ? to : '/')
}
</script>

<template>
  <v-main class="page">
    <div class="panel sheet">
      <row-unit-drawing class="drawing" />
      <h1>ustrel</h1>
      <p class="quiet">Row units, measured, judged and kept, row by row.</p>
      <sign-in-form class="mt-4" @signed-in="enter" />
    </div>
  </v-main>
</template>

<style scoped>
.page {
  display: grid;
  place-items: center;
  align-content: center;
  min-height: 100dvh;
  padding: var(--gap);
}
.panel {
  width: min(400px, 100%);
  padding: 28px;
}
.drawing {
  margin-bottom: var(--gap);
}
</style>
