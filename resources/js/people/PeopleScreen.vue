<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'
import { ref } from 'vue'
import { api, body } from '@/api/client'
import type { NewLink } from '@/api/types'
import AppBar from '@/components/AppBar.vue'
import LoadProblem from '@/components/LoadProblem.vue'
import { dateAndTime } from '@/dates'
import { useSession } from '@/session'
import { say } from '@/words'
import BackupLine from './BackupLine.vue'
import GuestForm from './GuestForm.vue'
import InviteForm from './InviteForm.vue'
import LinkDialog from './LinkDialog.vue'
import PersonLine from './PersonLine.vue'

/** Who works in the workshop, who is invited, and who looks on. */
const session = useSession()
const people = useQuery({ queryKey: ['people'], queryFn: () => body(api.GET('/api/people')), staleTime: 0 })
const asks = ref<'invitation' | 'guest' | null>(null)
const problem = ref('')
const made = ref<(NewLink & { what: string }) | null>(null)

function show(link: NewLink, what: string): void {
  asks.value = null
  made.value = { ...link, what }
  void people.refetch()
}

async function withdraw(invitation: number): Promise<void> {
  problem.value = ''
  try {
    await api.DELETE('/api/people/invitations/{invitation}', { params: { path: { invitation } } })
  } catch (error) {
    problem.value = (error as Error).message
  }
  await people.refetch()
}

async function endGuest(person: number): Promise<void> {
  await api.PATCH('/api/people/{person}', { params: { path: { person } }, body: { is_active: false } })
  await people.refetch()
}
</script>

<template>
  <app-bar />
  <main class="page">
    <div class="head">
      <h1>People of {{ session.me?.workshop }}</h1>
      <div class="do">
        <v-btn variant="text" size="large" :to="{ name: 'activity' }">Activity</v-btn>
        <v-btn color="primary" size="large" @click="asks = 'invitation'">Invite someone</v-btn>
      </div>
    </div>
    <load-problem :error="people.error.value" @again="people.refetch()" />
    <p v-if="problem" class="change" role="alert">{{ problem }}</p>
    <template v-if="people.data.value">
      <section class="sheet">
        <h2>Members</h2>
        <ul>
          <person-line
            v-for="person in people.data.value.people"
            :key="person.id"
            :person="person"
            :is-me="person.id === session.me?.id"
            @changed="people.refetch()"
            @made="show($event, `New password for ${person.name}`)"
          />
        </ul>
      </section>
      <section v-if="people.data.value.invitations.length > 0" class="sheet">
        <h2>Invited</h2>
        <ul>
          <li v-for="one in people.data.value.invitations" :key="one.id" class="line">
            <div>
              <strong>{{ one.email ?? 'Anyone with the link' }}</strong>
              <span class="quiet"
                >{{ say(`role.${one.role}`) }}, by {{ one.by }}; valid until {{ dateAndTime(one.expires_at) }}</span
              >
            </div>
            <v-btn
              variant="text"
              :aria-label="`Cancel the invitation of ${one.email ?? 'anyone with the link'}`"
              @click="withdraw(one.id)"
              >Cancel invitation</v-btn
            >
          </li>
        </ul>
      </section>
      <section class="sheet">
        <div class="head">
          <h2>Guests</h2>
          <v-btn variant="outlined" size="large" @click="asks = 'guest'">Invite a guest</v-btn>
        </div>
        <p v-if="people.data.value.guests.length === 0" class="quiet">
          No guests. Give a farmer a link to view one planter.
        </p>
        <ul>
          <li v-for="guest in people.data.value.guests" :key="guest.id" class="line">
            <div>
              <strong>{{ guest.name }}</strong>
              <span class="quiet"
                >{{ guest.planter }}, until {{ dateAndTime(guest.expires_at) }};
                {{ guest.last_seen_at ? `last seen ${dateAndTime(guest.last_seen_at)}` : 'not opened yet' }}</span
              >
            </div>
            <v-btn variant="text" :aria-label="`End the link of ${guest.name}`" @click="endGuest(guest.id)"
              >End link</v-btn
            >
          </li>
        </ul>
      </section>
      <backup-line />
    </template>
  </main>
  <invite-form v-if="asks === 'invitation'" @made="show($event, 'An invitation')" @close="asks = null" />
  <guest-form v-if="asks === 'guest'" @made="show($event, 'Guest link')" @close="asks = null" />
  <link-dialog v-if="made" :link="made.link" :expires-at="made.expires_at" :what="made.what" @close="made = null" />
</template>

<style scoped>
.head {
  display: flex;
  flex-wrap: wrap;
  gap: var(--gap);
  justify-content: space-between;
  align-items: center;
}
ul {
  list-style: none;
  padding: 0;
  margin-top: 8px;
}
.line {
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 12px;
  min-height: 60px;
  border-top: 1px solid var(--line);
}
.line span {
  display: block;
}
</style>
