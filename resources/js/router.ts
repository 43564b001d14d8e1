import { createRouter, createWebHistory } from 'vue-router'
import { useSession } from './session'

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/sign-in', name: 'sign-in', component: () => import('./screens/sign-in/SignInScreen.vue') },
    { path: '/', name: 'yard', component: () => import('./screens/yard/YardScreen.vue') },
    { path: '/planters/new', name: 'new-planter', component: () => import('./screens/planter/PlanterScreen.vue') },
    {
      path: '/planters/:planter(\\d+)/edit',
      name: 'edit-planter',
      component: () => import('./screens/planter/PlanterScreen.vue'),
      props: (route) => ({ planterId: Number(route.params.planter) }),
    },
    {
      path: '/planters/:planter(\\d+)/board',
      name: 'board',
      component: () => import('./screens/board/BoardScreen.vue'),
      props: (route) => ({ planterId: Number(route.params.planter) }),
    },
    {
      path: '/planters/:planter(\\d+)/walk',
      name: 'walk',
      component: () => import('./screens/walk/WalkScreen.vue'),
      props: (route) => ({ planterId: Number(route.params.planter) }),
    },
    { path: '/spec-sheets', name: 'spec-sheets', component: () => import('./screens/specs/SpecSheetsScreen.vue') },
    {
      path: '/spec-sheets/:sheet(\\d+)',
      name: 'spec-sheet',
      component: () => import('./screens/specs/SpecSheetScreen.vue'),
      props: (route) => ({ sheetId: Number(route.params.sheet) }),
    },
    { path: '/:rest(.*)', redirect: '/' },
  ],
})

router.beforeEach(async (to) => {
  const session = useSession()
  if (session.me === null) await session.load()
  if (session.me === null && to.name !== 'sign-in') return { name: 'sign-in', query: { to: to.fullPath } }
  if (session.me !== null && to.name === 'sign-in') return { name: 'yard' }
})
