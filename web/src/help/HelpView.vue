<script setup lang="ts">
import { computed, nextTick, watch } from 'vue'
import { useRoute } from 'vue-router'
import { PAGES, type PageId, helpPage } from './pages.js'

/** The makers' docs inside the app. */
const props = defineProps<{ page?: string }>()
const route = useRoute()
const shown = computed((): PageId => PAGES.find((p) => p.id === props.page)?.id ?? 'first-steps')
const content = computed(() => helpPage(shown.value))
watch(
  () => [shown.value, route.hash] as const,
  async ([, hash]) => {
    await nextTick()
    const heading = hash ? document.getElementById(decodeURIComponent(hash.slice(1))) : undefined
    if (heading) {
      heading.scrollIntoView()
      heading.focus()
    } else document.querySelector('[data-help]')?.scrollTo({ top: 0 })
  },
  { immediate: true },
)
</script>

<template>
  <div class="help">
    <nav aria-label="Help pages">
      <v-list role="group" aria-label="Help pages" :border="false" bg-color="transparent">
        <template v-for="p in PAGES" :key="p.id">
          <v-list-item
            :to="{ name: 'help', params: { page: p.id } }"
            :active="p.id === shown && !route.hash"
            color="primary"
            :title="p.label"
          />
          <template v-if="p.id === shown">
            <v-list-item
              v-for="h in content.headings"
              :key="h.anchor"
              class="inner"
              :to="{ name: 'help', params: { page: p.id }, hash: `#${h.anchor}` }"
              :active="route.hash === `#${h.anchor}`"
              color="primary"
              :title="h.text"
            />
          </template>
        </template>
      </v-list>
    </nav>
    <!-- The docs are files of this very build, not anything a maker or another site wrote. -->
    <!-- eslint-disable-next-line vue/no-v-html -->
    <article data-help tabindex="0" v-html="content.html" />
  </div>
</template>

<style scoped>
.help {
  display: grid;
  grid-template-columns: 260px minmax(0, 1fr);
  flex: 1;
  min-height: 0;
}
nav {
  overflow-y: auto;
  padding: 14px 10px;
  border-right: 1px solid var(--hairline);
}
.inner {
  min-height: 30px;
  padding-left: 28px;
  font-size: 14px;
}
article {
  overflow-y: auto;
  padding: 22px 32px 60px;
}
article :deep(:is(h1, h2, h3)) {
  margin: 22px 0 8px;
  outline: none;
}
article :deep(h1) {
  margin-top: 0;
  font-size: 24px;
}
article :deep(h2) {
  font-size: 18px;
}
article :deep(:is(p, li)) {
  max-width: 78ch;
}
article :deep(:is(code, pre)) {
  background: var(--working);
  font-family: var(--mono);
  font-size: 14px;
}
article :deep(pre) {
  padding: 10px 12px;
  white-space: pre-wrap;
}
article :deep(img) {
  max-width: 100%;
}
article :deep(table) {
  border-collapse: collapse;
}
article :deep(:is(td, th)) {
  padding: 3px 14px 3px 0;
  border-bottom: 1px solid var(--hairline);
  text-align: left;
}
article :deep(a) {
  color: var(--loch);
}
@media (max-width: 900px) {
  .help {
    grid-template: auto minmax(0, 1fr) / minmax(0, 1fr);
  }
  nav {
    max-height: 30vh;
    border-right: 0;
    border-bottom: 1px solid var(--hairline);
  }
}
</style>
