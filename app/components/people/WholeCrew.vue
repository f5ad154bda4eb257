<script setup lang="ts">
/** Everything of the crew carried away as a file, or deleted for good. */
const crew = useCrewStore()
const name = computed(() => crew.organization?.name ?? '')
const open = ref(false)
const state = reactive({ name: '' })
const ask = useAskForm('form', async () => {
  await tell('DELETE', '/whole', state)
  open.value = false
  crew.leave()
  await crew.load()
  await navigateTo('/today')
})
</script>

<template>
  <section aria-labelledby="whole-title">
    <h2 id="whole-title">The whole crew</h2>
    <p>Sites, jobs, records, pictures and all else in one file, a line of JSON for each row.</p>
    <p class="mt-2 flex flex-wrap gap-3">
      <UButton label="Export everything" :to="crewUrl('/whole')" external download />
      <UButton label="Delete the crew …" variant="link" @click="open = true" />
    </p>
    <UModal
      v-model:open="open"
      title="Delete the crew"
      description="Its records and its ledger go with it, for good. Export everything first."
    >
      <template #body>
        <UForm ref="form" :validate-on="[]" :state="state" class="space-y-3" @submit="ask.submit">
          <UFormField name="name" :label="`Repeat its name: ${name}`" required>
            <UInput v-model="state.name" class="w-full" autocomplete="off" />
          </UFormField>
          <UAlert v-if="ask.problem" role="alert" color="error" variant="subtle" :title="ask.problem" />
          <UButton
            type="submit"
            label="Delete for good"
            color="primary"
            variant="solid"
            :loading="ask.busy"
          />
        </UForm>
      </template>
    </UModal>
  </section>
</template>
