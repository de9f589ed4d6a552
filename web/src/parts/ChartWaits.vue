<template>
  <v-skeleton-loader type="image" height="190" role="status" aria-label="The chart is being drawn" />
</template>
