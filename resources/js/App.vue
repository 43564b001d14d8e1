<script setup lang="ts">
import { watchEffect } from 'vue'
import { useTheme } from 'vuetify'
import SignInAgain from '@/people/entry/SignInAgain.vue'
import { useSession } from './session'

const session = useSession()
const theme = useTheme()
watchEffect(() => theme.change(session.theme))
</script>

<template>
  <v-app>
    <router-view />
    <sign-in-again v-if="session.lapsed" />
  </v-app>
</template>
