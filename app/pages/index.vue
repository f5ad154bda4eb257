<script setup lang="ts">
definePageMeta({ redirect: '/jobs' })
</script>

<template>
  <div />
</template>
