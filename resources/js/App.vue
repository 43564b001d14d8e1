<script setup lang="ts">
import { defineAsyncComponent, watch, watchEffect } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useTheme } from 'vuetify'
import { useSession } from './session'

const SignInAgain = defineAsyncComponent(() => import('@/people/entry/SignInAgain.vue'))
const route = useRoute()
const router = useRouter()
const session = useSession()
const theme = useTheme()
watchEffect(() => theme.change(session.theme))
watch(
  () => session.ended,
  (ended) => ended && void router.replace({ name: 'sign-in', query: { to: route.fullPath } }),
)
</script>

<template>
  <v-app>
    <router-view />
    <sign-in-again v-if="session.lapsed" />
  </v-app>
</template>
