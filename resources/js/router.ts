import { createRouter, createWebHistory, START_LOCATION, type RouteLocation } from 'vue-router'
import { useOutbox } from './offline/outbox'
// The first that anybody sees: with the client itself, not a round trip later.
import SignInScreen from './people/entry/SignInScreen.vue'
import { useSession } from './session'
import { getGuideAhead } from './walk/guide'
import { getBoardAhead } from './walk/queries'
import { getWorkAhead } from './work/queries'

declare module 'vue-router' {
  interface RouteMeta {
    /** For who is not signed in too. */
    open?: boolean
    /** What the screen shows first is asked for while its parts still come. */
    ahead?: (planter: number) => unknown
  }
}

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
    { path: '/sign-in', name: 'sign-in', component: SignInScreen },
    // Links, each with its secret behind the #, for who is not signed in yet.
    { path: '/set-up', meta: { open: true }, component: () => import('@/people/entry/SetUpScreen.vue') },
    { path: '/join', meta: { open: true }, component: () => import('@/people/entry/JoinScreen.vue') },
    { path: '/reset', meta: { open: true }, component: () => import('@/people/entry/ResetScreen.vue') },
    { path: '/guest', meta: { open: true }, component: () => import('@/people/GuestScreen.vue') },
    { path: '/people', name: 'people', component: () => import('@/people/PeopleScreen.vue') },
    { path: '/activity', name: 'activity', component: () => import('@/people/ActivityScreen.vue') },
    { path: '/account', name: 'account', component: () => import('@/people/AccountScreen.vue') },
    { path: '/', name: 'yard', component: () => import('@/yard/YardScreen.vue') },
    { path: '/today', name: 'today', component: () => import('@/today/TodayScreen.vue') },
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
      meta: { ahead: getBoardAhead },
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
      meta: { ahead: getWorkAhead },
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
      meta: { ahead: getGuideAhead },
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
    {
      path: '/help/:chapter?',
      name: 'help',
      component: () => import('@/help/HelpScreen.vue'),
      props: (route) => ({ chapter: route.params.chapter || undefined }),
    },
    // Addresses of before.
    ...Object.entries(moved).map(([path, to]) => ({
      path: `/planters/:planter(\\d+)/${path}`,
      redirect: ({ params }: RouteLocation) => ({ ...to, params: { planter: params.planter } }),
    })),
    { path: '/:rest(.*)', redirect: '/' },
  ],
})

const isPhone = () => window.matchMedia('(max-width: 700px)').matches

/** Begins to get the parts of a screen, while the device still looks who is signed in. */
function getPartsAhead({ matched }: RouteLocation): void {
  for (const part of matched.flatMap(({ components }) => Object.values(components ?? {})))
    if (typeof part === 'function') void (part as () => Promise<unknown>)().catch(() => undefined)
}

router.beforeEach(async (to, from) => {
  getPartsAhead(to)
  if (to.meta.open) return
  const session = useSession()
  const isIn = () => session.me !== null
  // Without a signal, and with nobody known to this device, there is only the way to sign in.
  if (!isIn()) {
    const { said } = await session.load()
    if (!isIn() && to.name === 'sign-in') void said.then(() => (isIn() ? router.replace('/') : undefined))
    else if (!isIn()) await said
    if (isIn()) await useOutbox().known()
  }
  if (!isIn() && to.name !== 'sign-in') return { name: 'sign-in', query: { to: to.fullPath } }
  if (isIn() && to.name === 'sign-in') return { name: 'yard' }
  // A phone opens with what there is to do.
  const isArriving = from === START_LOCATION || from.meta.open || from.name === 'sign-in'
  if (to.name === 'yard' && isArriving && isPhone() && session.may('record')) return { name: 'today' }
  if (to.params.planter !== undefined) void to.meta.ahead?.(Number(to.params.planter))
})

// Another version may have come while the page was open: its parts are got with the page.
router.onError((error: unknown, to) => {
  if (error instanceof TypeError && /module/i.test(error.message)) window.location.assign(to.fullPath)
})
