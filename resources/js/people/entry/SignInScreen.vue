<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { api, body } from '@/api/client'
import EntryPage from './EntryPage.vue'
import ForgotPassword from './ForgotPassword.vue'
import SignInForm from './SignInForm.vue'

const route = useRoute()
const router = useRouter()
const hasForgotten = ref(false)
const welcome = useQuery({ queryKey: ['welcome'], queryFn: () => body(api.GET('/api/welcome')) })

function enter(): void {
  const to = route.query.to
  void router.replace(typeof to === 'string' && to.startsWith('/') ? to : '/')
}
</script>

<template>
  <entry-page>
    <p class="quiet">Measure, decide and keep the record, row by row.</p>
    <p v-if="welcome.data.value?.is_demo" class="caution">
      This is the demo. Planters, people and figures are made up. The console shows the demo login.
    </p>
    <p v-if="welcome.data.value?.is_set_up === false" class="caution">
      No workshop yet. Open the link shown in the console.
    </p>
    <forgot-password v-if="hasForgotten" @back="hasForgotten = false" />
    <template v-else>
      <sign-in-form @signed-in="enter" />
      <v-btn variant="text" @click="hasForgotten = true">Forgot password?</v-btn>
    </template>
  </entry-page>
</template>
