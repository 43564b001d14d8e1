<script setup lang="ts">
import { useRouter } from 'vue-router'
import { api, body } from '@/api/client'
import { keys, queries } from '@/api/queries'
import { useSpecSheets } from '@/spec/queries'
import AppBar from '@/components/AppBar.vue'
import LoadProblem from '@/components/LoadProblem.vue'
import { useSend } from '@/composables/useSend'
import { say } from '@/words'
import { useSession } from '@/session'
import ScreenFaces from '@/components/ScreenFaces.vue'

const session = useSession()
const router = useRouter()
const sheets = useSpecSheets()
const { send, refusal } = useSend('The server does not answer. No copy was made.')

const copy = (id: number) =>
  send(async () => {
    const made = await body(api.POST('/api/spec-sheets/{specSheet}/copies', { params: { path: { specSheet: id } } }))
    await queries.invalidateQueries({ queryKey: keys.specSheets })
    await router.push({ name: 'spec-sheet', params: { sheet: made.id } })
  })
</script>

<template>
  <app-bar />
  <main class="page">
    <screen-faces of="Shop" />
    <h1>Spec sheets</h1>
    <p class="quiet">
      Limits and targets for every check. Typical sheets cannot be edited: copy one, enter the figures from your
      operator's manual, then choose the copy on the planter.
    </p>
    <p v-if="refusal" class="change" role="alert">{{ refusal.message }}</p>
    <load-problem :error="sheets.error.value" @again="sheets.refetch()" />
    <article v-for="sheet in sheets.data.value" :key="sheet.id" class="sheet line">
      <div>
        <h2>{{ sheet.name }}</h2>
        <p class="quiet">
          {{ say(`row_unit.${sheet.type}`) }} · {{ sheet.own ? 'your own figures' : 'typical values' }}
        </p>
      </div>
      <div class="buttons">
        <v-btn variant="outlined" :to="{ name: 'spec-sheet', params: { sheet: sheet.id } }">
          {{ sheet.own && session.may('set') ? 'Edit' : 'View' }}
        </v-btn>
        <v-btn v-if="session.may('set')" variant="text" @click="copy(sheet.id)">Copy</v-btn>
      </div>
    </article>
  </main>
</template>

<style scoped>
.line {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  align-items: center;
  gap: 10px;
}
.buttons {
  display: flex;
  gap: 8px;
}
</style>
