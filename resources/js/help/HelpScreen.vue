<script setup lang="ts">
import { nextTick, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import AppBar from '@/components/AppBar.vue'
import { chapters, pageOf } from './chapters'

/** The guide, a chapter at a time. */
const { chapter = chapters[0]?.key ?? '' } = defineProps<{ chapter?: string }>()
const route = useRoute()
const router = useRouter()
const page = ref('')

watch(
  () => [chapter, route.hash] as const,
  async ([key, hash], before) => {
    if (key !== before?.[0]) page.value = (await pageOf(key)) ?? ''
    await nextTick()
    const section = hash === '' ? null : document.getElementById(hash.slice(1))
    if (section) section.scrollIntoView()
    else window.scrollTo(0, 0)
  },
  { immediate: true },
)

/** Links of the page go through the router: without a signal there is no other page to get. */
function follow(event: MouseEvent): void {
  const link = (event.target as Element).closest('a')
  if (!link || event.ctrlKey || event.metaKey) return
  event.preventDefault()
  void router.push(link.getAttribute('href') ?? '/help')
}
</script>

<template>
  <app-bar />
  <main class="page help">
    <nav class="sheet" aria-label="Guide">
      <ol>
        <li v-for="of in chapters" :key="of.key">
          <router-link :to="{ name: 'help', params: { chapter: of.key } }" :class="{ here: of.key === chapter }">
            {{ of.title }}
          </router-link>
          <ul v-if="of.key === chapter">
            <li v-for="section in of.sections" :key="section.id">
              <router-link :to="{ hash: `#${section.id}` }">{{ section.title }}</router-link>
            </li>
          </ul>
        </li>
      </ol>
    </nav>
    <article class="sheet">
      <h1>{{ chapters.find(({ key }) => key === chapter)?.title ?? 'Guide' }}</h1>
      <p v-if="!chapters.some(({ key }) => key === chapter)">There is no such page. Pick one from the list.</p>
      <!-- eslint-disable-next-line vue/no-v-html -- our own guide, made into a page with the build -->
      <div class="text" @click="follow" v-html="page" />
    </article>
  </main>
</template>

<style scoped>
.help {
  display: grid;
  grid-template-columns: 260px minmax(0, 46rem);
  align-items: start;
  gap: var(--gap);
}
nav {
  position: sticky;
  top: 72px;
  max-height: calc(100dvh - 90px);
  overflow-y: auto;
}
nav :is(ol, ul) {
  margin: 0;
  padding: 0;
  list-style: none;
}
nav ul {
  padding-left: 14px;
}
nav a {
  display: flex;
  align-items: center;
  min-height: 40px;
  color: inherit;
  text-decoration: none;
}
nav a.here {
  font-weight: 700;
  color: var(--accent);
}
.text :deep(h2) {
  margin-top: 28px;
  scroll-margin-top: 70px;
}
.text :deep(:is(p, li)) {
  line-height: 1.55;
}
.text :deep(p) {
  margin: 6px 0 12px;
}
/* As tall as it will be before it is there, so that no section is pushed away under its reader. */
.text :deep(img) {
  width: 100%;
  aspect-ratio: 16 / 10;
  border: 1px solid var(--line);
  border-radius: var(--radius);
}
.text :deep(table) {
  border-collapse: collapse;
}
.text :deep(:is(td, th)) {
  padding: 6px 12px 6px 0;
  text-align: left;
  vertical-align: top;
  border-bottom: 1px solid var(--line);
}
.text :deep(a) {
  color: var(--accent);
}
@media (max-width: 1000px) {
  .help {
    grid-template-columns: minmax(0, 1fr);
  }
  nav {
    position: static;
    max-height: none;
    order: 2;
  }
  nav a {
    min-height: var(--touch);
  }
}
</style>
