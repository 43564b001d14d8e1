import { createRouter, createWebHistory, type RouteLocation } from 'vue-router'
import { useOutbox } from './offline/outbox'
import { useSession } from './session'

/** Where the screens went that once had a tab of their own. */
const moved = {
  findings: { name: 'decide' },
  life: { name: 'board', query: { face: 'life' } },
  'whole-planter': { name: 'board', query: { open: 'whole-planter' } },
  acres: { name: 'field' },
  'quick-entry': { name: 'sheet' },
}

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/sign-in', name: 'sign-in', component: () => import('@/people/entry/SignInScreen.vue') },
    // Links, each with its secret behind the #, for who is not signed in yet.
    { path: '/set-up', meta: { open: true }, component: () => import('@/people/entry/SetUpScreen.vue') },
    { path: '/join', meta: { open: true }, component: () => import('@/people/entry/JoinScreen.vue') },
    { path: '/reset', meta: { open: true }, component: () => import('@/people/entry/ResetScreen.vue') },
    { path: '/guest', meta: { open: true }, component: () => import('@/people/GuestScreen.vue') },
    { path: '/people', name: 'people', component: () => import('@/people/PeopleScreen.vue') },
    { path: '/activity', name: 'activity', component: () => import('@/people/ActivityScreen.vue') },
    { path: '/account', name: 'account', component: () => import('@/people/AccountScreen.vue') },
    { path: '/', name: 'yard', component: () => import('@/yard/YardScreen.vue') },
    { path: '/planters/new', name: 'new-planter', component: () => import('@/yard/PlanterScreen.vue') },
    {
      path: '/planters/:planter(\\d+)/edit',
      name: 'edit-planter',
      component: () => import('@/yard/PlanterScreen.vue'),
      props: (route) => ({ planterId: Number(route.params.planter) }),
    },
    {
      path: '/planters/:planter(\\d+)/board',
      name: 'board',
      component: () => import('@/walk/board/BoardScreen.vue'),
      props: (route) => ({
        planterId: Number(route.params.planter),
        face: route.query.face === 'life' ? 'life' : 'now',
        open: route.query.open,
      }),
    },
    {
      path: '/planters/:planter(\\d+)/rows/:row(\\d+)',
      name: 'row',
      component: () => import('@/walk/row/RowScreen.vue'),
      props: (route) => ({ planterId: Number(route.params.planter), row: Number(route.params.row) }),
    },
    {
      path: '/planters/:planter(\\d+)/decide',
      name: 'decide',
      component: () => import('@/plan/DecideScreen.vue'),
      props: (route) => ({ planterId: Number(route.params.planter) }),
    },
    {
      path: '/planters/:planter(\\d+)/season',
      name: 'season',
      component: () => import('@/season/SeasonScreen.vue'),
      props: (route) => ({ planterId: Number(route.params.planter) }),
    },
    {
      path: '/planters/:planter(\\d+)/work',
      name: 'work',
      component: () => import('@/work/WorkScreen.vue'),
      props: (route) => ({ planterId: Number(route.params.planter) }),
    },
    {
      path: '/planters/:planter(\\d+)/bench',
      name: 'bench',
      component: () => import('@/bench/BenchScreen.vue'),
      props: (route) => ({ planterId: Number(route.params.planter) }),
    },
    {
      path: '/planters/:planter(\\d+)/walk/sheet',
      name: 'sheet',
      component: () => import('@/walk/sheet/SheetScreen.vue'),
      props: (route) => ({ planterId: Number(route.params.planter) }),
    },
    {
      path: '/planters/:planter(\\d+)/walk',
      name: 'walk',
      component: () => import('@/walk/WalkScreen.vue'),
      props: (route) => ({ planterId: Number(route.params.planter) }),
    },
    {
      path: '/planters/:planter(\\d+)/settings',
      name: 'settings',
      component: () => import('@/field/SettingsScreen.vue'),
      props: (route) => ({ planterId: Number(route.params.planter) }),
    },
    {
      path: '/planters/:planter(\\d+)/calculators',
      name: 'calculators',
      component: () => import('@/field/CalculatorsScreen.vue'),
      props: (route) => ({ planterId: Number(route.params.planter) }),
    },
    {
      path: '/planters/:planter(\\d+)/emergence',
      name: 'emergence',
      component: () => import('@/field/EmergenceScreen.vue'),
      props: (route) => ({ planterId: Number(route.params.planter) }),
    },
    {
      path: '/planters/:planter(\\d+)/row-watch',
      name: 'row-watch',
      component: () => import('@/field/watch/WatchScreen.vue'),
      props: (route) => ({ planterId: Number(route.params.planter) }),
    },
    {
      path: '/planters/:planter(\\d+)/first-pass',
      name: 'first-pass',
      component: () => import('@/field/FirstPassScreen.vue'),
      props: (route) => ({ planterId: Number(route.params.planter) }),
    },
    {
      path: '/planters/:planter(\\d+)/field',
      name: 'field',
      component: () => import('@/wear/AcresScreen.vue'),
      props: (route) => ({ planterId: Number(route.params.planter) }),
    },
    {
      path: '/planters/:planter(\\d+)/import',
      name: 'import',
      component: () => import('@/record/ImportScreen.vue'),
      props: (route) => ({ planterId: Number(route.params.planter) }),
    },
    { path: '/shop', name: 'shop', component: () => import('@/yard/ShopScreen.vue') },
    { path: '/meters', name: 'meters', component: () => import('@/bench/MetersScreen.vue') },
    { path: '/seed', name: 'seed', component: () => import('@/seed/SeedScreen.vue') },
    { path: '/store', name: 'store', component: () => import('@/parts/StoreScreen.vue') },
    { path: '/part-types', name: 'part-types', component: () => import('@/parts/PartTypesScreen.vue') },
    {
      path: '/part-types/:type(\\d+)',
      name: 'part-type',
      component: () => import('@/parts/PartTypeScreen.vue'),
      props: (route) => ({ typeId: Number(route.params.type) }),
    },
    { path: '/spec-sheets', name: 'spec-sheets', component: () => import('@/spec/SpecSheetsScreen.vue') },
    {
      path: '/spec-sheets/:sheet(\\d+)',
      name: 'spec-sheet',
      component: () => import('@/spec/SpecSheetScreen.vue'),
      props: (route) => ({ sheetId: Number(route.params.sheet) }),
    },
    // Addresses of before.
    ...Object.entries(moved).map(([path, to]) => ({
      path: `/planters/:planter(\\d+)/${path}`,
      redirect: ({ params }: RouteLocation) => ({ ...to, params: { planter: params.planter } }),
    })),
    { path: '/:rest(.*)', redirect: '/' },
  ],
})

router.beforeEach(async (to) => {
  if (to.meta.open) return
  const session = useSession()
  // Without a signal, and with nobody known to this device, there is only the way to sign in.
  if (session.me === null) {
    await session.load().catch(() => undefined)
    if (session.me !== null) await useOutbox().known()
  }
  if (session.me === null && to.name !== 'sign-in') return { name: 'sign-in', query: { to: to.fullPath } }
  if (session.me !== null && to.name === 'sign-in') return { name: 'yard' }
})

// Another version may have come while the page was open: its parts are got with the page.
router.onError((error: unknown, to) => {
  if (error instanceof TypeError && /module/i.test(error.message)) window.location.assign(to.fullPath)
})
