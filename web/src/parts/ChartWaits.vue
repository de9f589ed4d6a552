<template>
  <v-skeleton-loader type="image" height="190" aria-label="The chart is being drawn" />
</template>
