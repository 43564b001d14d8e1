<script setup lang="ts">
import { queries } from '@/api/queries'
import { useOutbox } from '@/offline/outbox'
import { useSession } from '@/session'
import { say } from '@/words'
import SignInForm from './SignInForm.vue'

const session = useSession()
const outbox = useOutbox()
const before = session.me?.id

function carryOn(): void {
  // Somebody else's work must not stay on the screen.
  if (before !== undefined && session.me?.id !== before) return window.location.assign('/')
  session.lapsed = false
  void queries.invalidateQueries()
  void outbox.send()
}
</script>

<template>
  <v-dialog model-value aria-label="Sign in again" persistent max-width="420">
    <div class="sheet asks">
      <h2>Sign in again</h2>
      <p class="quiet">{{ say('error.signed_out') }}</p>
      <sign-in-form @signed-in="carryOn" />
    </div>
  </v-dialog>
</template>
