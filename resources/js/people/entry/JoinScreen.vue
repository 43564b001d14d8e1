<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { reactive, watch } from 'vue'
import { useRouter } from 'vue-router'
import { api, body, Refusal } from '@/api/client'
import RefusalList from '@/components/RefusalList.vue'
import { useSend } from '@/composables/useSend'
import { useSession } from '@/session'
import { say } from '@/words'
import EntryPage from './EntryPage.vue'
import PersonFields from '@/people/PersonFields.vue'
import { useLink } from './useLink'

/** Where an invitation is taken up. */
const link = useLink()
const router = useRouter()
const session = useSession()
const { send, refusal, busy } = useSend()
const person = reactive({ name: '', email: '', password: '' })
const invitation = useQuery({
  queryKey: ['invitation', link],
  queryFn: () => body(api.POST('/api/invitations/look', { body: { link } })),
  staleTime: Infinity,
})
watch(invitation.data, (found) => {
  if (found?.email) person.email = found.email
})

async function join(): Promise<void> {
  const sent = { link, ...person }
  const isIn = await send(() => session.enter(() => body(api.POST('/api/invitations/accept', { body: sent }))))
  if (isIn) await router.replace('/')
}
</script>

<template>
  <entry-page :title="invitation.data.value ? `Join ${invitation.data.value.workshop}` : 'An invitation'">
    <template v-if="invitation.error.value">
      <refusal-list
        :refusal="
          invitation.error.value instanceof Refusal
            ? invitation.error.value
            : new Refusal(0, 'The server does not answer. Try again in a moment.')
        "
      />
      <v-btn variant="outlined" size="large" :to="{ name: 'sign-in' }">Go to sign-in</v-btn>
    </template>
    <form v-else-if="invitation.data.value" class="fields" novalidate @submit.prevent="join">
      <p>
        {{ invitation.data.value.by }} invites you as {{ say(`role.${invitation.data.value.role}`).toLowerCase() }}.
        <span class="quiet">{{ say(`role_does.${invitation.data.value.role}`) }}</span>
      </p>
      <person-fields v-model="person" :refusal="refusal" />
      <refusal-list
        v-if="refusal && (refusal.about('link') || !Object.keys(refusal.errors).length)"
        :refusal="refusal"
      />
      <v-btn type="submit" color="primary" size="large" block :loading="busy">Join</v-btn>
    </form>
  </entry-page>
</template>

<style scoped>
.fields {
  display: grid;
  gap: 14px;
}
</style>
