<script setup lang="ts">
import { onMounted } from 'vue'
import { useRouter } from 'vue-router'
import { api, body } from '@/api/client'
import RefusalList from '@/components/RefusalList.vue'
import { useSend } from '@/composables/useSend'
import { useSession } from '@/session'
import EntryPage from '@/people/entry/EntryPage.vue'
import { useLink } from '@/people/entry/useLink'

/** Where a guest's link leads: to the board of the one planter, and nowhere else. */
const link = useLink()
const router = useRouter()
const session = useSession()
const { send, refusal } = useSend()

onMounted(async () => {
  const isIn = await send(() => session.enter(() => body(api.POST('/api/guest', { body: { link } }))))
  if (isIn) await router.replace({ name: 'board', params: { planter: session.me?.planter ?? 0 } })
})
</script>

<template>
  <entry-page title="Guest view">
    <p v-if="!refusal" class="quiet" role="status">Opening …</p>
    <refusal-list :refusal="refusal" />
  </entry-page>
</template>
