import { createRouter, createWebHistory } from 'vue-router'
import { SCREENS } from './screens.js'

/** The first screen is loaded with the page, the others when walked to. */
export const router = createRouter({
  history: createWebHistory(),
  routes: [
    ...SCREENS.map(({ name, path, component }) => ({ name, path, component, props: true })),
    { path: '/:rest(.*)*', name: 'nowhere', component: () => import('./NowherePage.vue') },
  ],
})
