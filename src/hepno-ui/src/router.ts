import { createRouter, createWebHistory } from 'vue-router'
import { atPress, dropRefusal, lookAt, reading, refreshLine, shop } from './state/state'

export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', component: () => import('./areas/ask/AskArea.vue'), meta: { first: true } },
    { path: '/ask', component: () => import('./areas/ask/AskArea.vue') },
    { path: '/compare', component: () => import('./areas/compare/CompareArea.vue') },
    { path: '/layout', component: () => import('./areas/layout/LayoutArea.vue') },
    { path: '/quote', component: () => import('./areas/quote/QuoteArea.vue') },
    { path: '/gather', component: () => import('./areas/gather/GatherArea.vue'), meta: { atPress: true } },
    { path: '/press', component: () => import('./areas/press/PressDayArea.vue'), meta: { atPress: true } },
    { path: '/run/:order', component: () => import('./areas/press/RunArea.vue'), meta: { bare: true, atPress: true } },
    { path: '/send', component: () => import('./areas/send/SendArea.vue'), meta: { atPress: true } },
    { path: '/learn', component: () => import('./areas/learn/LearnArea.vue') },
    { path: '/shelf', component: () => import('./areas/shelf/ShelfArea.vue') },
    { path: '/floor', component: () => import('./areas/floor/FloorArea.vue'), meta: { atPress: true } },
    { path: '/numbers', component: () => import('./areas/numbers/NumbersArea.vue') },
    { path: '/first-day', component: () => import('./areas/firstday/FirstDayArea.vue') },
    { path: '/:rest(.*)', redirect: '/ask' },
  ],
})

// a device of the press stays where its work is; on the first page of all it is not known yet whose device this is
router.beforeEach(async (to, from) => {
  if (to.path !== from.path) dropRefusal()
  if (!shop.line && !to.meta.atPress) await reading(refreshLine)
  return atPress.value && !to.meta.atPress ? '/press' : true
})

// the work of a station is there when the station is
router.beforeResolve((to) => reading(() => lookAt(to.path)))
