<script setup lang="ts">
import { useRoute } from 'vue-router'

const route = useRoute()
</script>

<template>
  <div class="page">
    <h1>There is nothing at this address</h1>
    <p>
      Drumlin has no page <code>{{ route.path }}</code>. All jobs are on the shelf.
    </p>
    <v-btn variant="flat" :to="{ name: 'shelf' }">To the shelf</v-btn>
  </div>
</template>

<style scoped>
.page {
  padding: 40px 32px;
  max-width: 60ch;
}
</style>
