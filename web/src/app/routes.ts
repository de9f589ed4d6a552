import { createRouter, createWebHistory } from 'vue-router'
import ShelfView from '../shelf/ShelfView.vue'

/** Screens of a job are waypoints of the trail; the first screen is loaded with the page, the others when walked to. */
export const router = createRouter({
  history: createWebHistory(),
  routes: [
    { path: '/', name: 'shelf', component: ShelfView },
    { path: '/job/:id/brief', name: 'brief', component: () => import('../brief/BriefView.vue'), props: true },
    { path: '/job/:id/draft', name: 'draft', component: () => import('../draft/DraftView.vue'), props: true },
    { path: '/job/:id/seams', name: 'seams', component: () => import('../seams/SeamsView.vue'), props: true },
    {
      path: '/job/:id/relief',
      name: 'relief',
      component: () => import('../relief/ReliefView.vue'),
      props: true,
    },
    {
      path: '/job/:id/fittings',
      name: 'fittings',
      component: () => import('../fittings/FittingsView.vue'),
      props: true,
    },
    { path: '/job/:id/round', name: 'round', component: () => import('../round/RoundView.vue'), props: true },
    {
      path: '/job/:id/what-if',
      name: 'what-if',
      component: () => import('../whatif/WhatIfView.vue'),
      props: true,
    },
    {
      path: '/job/:id/drafts',
      name: 'drafts',
      component: () => import('../drafts/DraftsView.vue'),
      props: true,
    },
    { path: '/stores', name: 'stores', component: () => import('../stores/StoresView.vue') },
    {
      path: '/pocket-book/:entry?',
      name: 'pocket-book',
      component: () => import('../pocketbook/PocketBookView.vue'),
      props: true,
    },
    { path: '/:rest(.*)*', redirect: '/' },
  ],
})

/** The trail: the screens there are, in the order of the work. */
export const WAYPOINTS = [
  { name: 'brief', label: 'Brief' },
  { name: 'draft', label: 'Draft' },
  { name: 'seams', label: 'Seams' },
  { name: 'relief', label: 'Relief' },
  { name: 'fittings', label: 'Fittings' },
  { name: 'round', label: 'Round' },
] as const
