import { createRouter, createWebHistory } from 'vue-router'
import { useSession } from './session'

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/sign-in', name: 'sign-in', component: () => import('@/yard/SignInScreen.vue') },
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
      props: (route) => ({ planterId: Number(route.params.planter) }),
    },
    {
      path: '/planters/:planter(\\d+)/rows/:row(\\d+)',
      name: 'row',
      component: () => import('@/walk/row/RowScreen.vue'),
      props: (route) => ({ planterId: Number(route.params.planter), row: Number(route.params.row) }),
    },
    {
      path: '/planters/:planter(\\d+)/findings',
      name: 'findings',
      component: () => import('@/walk/board/FindingsScreen.vue'),
      props: (route) => ({ planterId: Number(route.params.planter) }),
    },
    {
      path: '/planters/:planter(\\d+)/quick-entry',
      name: 'quick-entry',
      component: () => import('@/walk/quick-entry/QuickEntryScreen.vue'),
      props: (route) => ({ planterId: Number(route.params.planter) }),
    },
    {
      path: '/planters/:planter(\\d+)/whole-planter',
      name: 'whole-planter',
      component: () => import('@/walk/whole-planter/WholePlanterScreen.vue'),
      props: (route) => ({ planterId: Number(route.params.planter) }),
    },
    {
      path: '/planters/:planter(\\d+)/walk',
      name: 'walk',
      component: () => import('@/walk/WalkScreen.vue'),
      props: (route) => ({ planterId: Number(route.params.planter) }),
    },
    {
      path: '/planters/:planter(\\d+)/life',
      name: 'life',
      component: () => import('@/wear/LifeScreen.vue'),
      props: (route) => ({ planterId: Number(route.params.planter) }),
    },
    {
      path: '/planters/:planter(\\d+)/acres',
      name: 'acres',
      component: () => import('@/wear/AcresScreen.vue'),
      props: (route) => ({ planterId: Number(route.params.planter) }),
    },
    {
      path: '/planters/:planter(\\d+)/import',
      name: 'import',
      component: () => import('@/record/ImportScreen.vue'),
      props: (route) => ({ planterId: Number(route.params.planter) }),
    },
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
    { path: '/:rest(.*)', redirect: '/' },
  ],
})

router.beforeEach(async (to) => {
  const session = useSession()
  // Without a signal, and with nobody known to this device, there is only the way to sign in.
  if (session.me === null) await session.load().catch(() => undefined)
  if (session.me === null && to.name !== 'sign-in') return { name: 'sign-in', query: { to: to.fullPath } }
  if (session.me !== null && to.name === 'sign-in') return { name: 'yard' }
})
