import type { Component } from 'vue'
import type { Screen as About } from '@drumlin/core/check'
import ShelfView from '../shelf/ShelfView.vue'

/** A screen: its address, where one gets to it from, and what it is found by. */
export interface Screen {
  readonly name: string
  readonly path: string
  readonly label: string
  /** A waypoint of a job’s trail, another page of the job, a page of the house, or a part of one that is reached from it. */
  readonly of: 'trail' | 'job' | 'house' | 'part'
  /** Other words makers look for it by. */
  readonly words: string
  /** The key that leads to it from anywhere. */
  readonly key?: string
  /** Which findings are settled there; none where it has none of its own. */
  readonly settles?: About | 'draft'
  readonly component: Component | (() => Promise<Component>)
}

/** Every screen there is, those of the trail in the order of the work. A new one is its folder and its entry here. */
export const SCREENS: readonly Screen[] = [
  {
    name: 'brief',
    path: '/job/:id/brief',
    label: 'Brief',
    of: 'trail',
    words: 'contents leather thread iron what it carries',
    settles: 'brief',
    component: () => import('../brief/BriefView.vue'),
  },
  {
    name: 'draft',
    path: '/job/:id/draft',
    label: 'Draft',
    of: 'trail',
    words: 'pieces pattern transect print pdf svg dxf',
    settles: 'draft',
    component: () => import('../draft/DraftView.vue'),
  },
  {
    name: 'seams',
    path: '/job/:id/seams',
    label: 'Seams',
    of: 'trail',
    words: 'stitching holes runs thread bobbin zip fit to the iron margin',
    settles: 'seams',
    component: () => import('../seams/SeamsView.vue'),
  },
  {
    name: 'relief',
    path: '/job/:id/relief',
    label: 'Relief',
    of: 'trail',
    words: 'thickness skive map contours',
    settles: 'relief',
    component: () => import('../relief/ReliefView.vue'),
  },
  {
    name: 'fittings',
    path: '/job/:id/fittings',
    label: 'Fittings',
    of: 'trail',
    words: 'hardware rivets snaps buckles post length',
    settles: 'fittings',
    component: () => import('../fittings/FittingsView.vue'),
  },
  {
    name: 'round',
    path: '/job/:id/round',
    label: 'Round',
    of: 'trail',
    words: 'finished picture three dimensions weight size closed',
    settles: 'round',
    component: () => import('../round/RoundView.vue'),
  },
  {
    name: 'hide',
    path: '/job/:id/hide',
    label: 'Hide',
    of: 'trail',
    words: 'lay out cutting plan layout waste nesting leather flaws zones backbone how many what to buy',
    settles: 'hide',
    component: () => import('../hide/HideView.vue'),
  },
  {
    name: 'make',
    path: '/job/:id/make',
    label: 'Make',
    of: 'trail',
    words: 'order of work steps last calls evenings plan schedule calendar making how long',
    settles: 'make',
    component: () => import('../make/MakeView.vue'),
  },
  {
    name: 'price',
    path: '/job/:id/price',
    label: 'Price',
    of: 'trail',
    words: 'cost bill quote what to ask earning an hour money made before notes for next time',
    component: () => import('../price/PriceView.vue'),
  },
  {
    name: 'what-if',
    path: '/job/:id/what-if',
    label: 'What if',
    of: 'job',
    words: 'variants compare settings time',
    component: () => import('../whatif/WhatIfView.vue'),
  },
  {
    name: 'drafts',
    path: '/job/:id/drafts',
    label: 'Drafts',
    of: 'job',
    words: 'versions compare overlay keep',
    component: () => import('../drafts/DraftsView.vue'),
  },
  {
    name: 'shelf',
    path: '/',
    label: 'Shelf',
    of: 'house',
    words: 'all jobs start open',
    component: ShelfView,
  },
  {
    name: 'stores',
    path: '/stores',
    label: 'Stores',
    of: 'house',
    words: 'stock leather thread irons machines hardware glue',
    component: () => import('../stores/StoresView.vue'),
  },
  {
    name: 'bench',
    path: '/bench/:making?',
    label: 'Bench',
    of: 'house',
    words: 'step by step timers clock notes photographs making',
    component: () => import('../bench/BenchView.vue'),
  },
  {
    name: 'ledger',
    path: '/ledger/:page?',
    label: 'Ledger',
    of: 'house',
    words: 'makings records looking back hours paces learnt stock shopping list clients quotes year',
    component: () => import('../ledger/LedgerView.vue'),
  },
  {
    name: 'record',
    path: '/ledger/making/:making',
    label: 'Record',
    of: 'part',
    words: '',
    component: () => import('../ledger/RecordView.vue'),
  },
  {
    name: 'pocket-book',
    path: '/pocket-book/:entry?',
    label: 'Pocket book',
    of: 'house',
    words: 'quick reckoners formulas',
    key: 'b',
    component: () => import('../pocketbook/PocketBookView.vue'),
  },
  {
    name: 'devices',
    path: '/devices',
    label: 'Devices',
    of: 'house',
    words: 'caliper thickness gauge scale printer cutter plotter camera serial port stand-in measure connect',
    component: () => import('../devices/DevicesView.vue'),
  },
  {
    name: 'help',
    path: '/help/:page?',
    label: 'Help',
    of: 'house',
    words: 'first steps words glossary formulas settings manual how',
    component: () => import('../help/HelpView.vue'),
  },
]

/** The trail, in the order of the work. */
export const WAYPOINTS = SCREENS.filter((s) => s.of === 'trail')
