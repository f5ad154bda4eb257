<script setup lang="ts">
/** One press makes an empty crew; the sample stays beside it. */
const open = defineModel<boolean>('open', { required: true })
const crew = useCrewStore()
const name = ref('')
/** The clock of whoever begins it, until they say another. */
const timeZone = ref(Intl.DateTimeFormat().resolvedOptions().timeZone)
const zones = [...new Set([timeZone.value, ...Intl.supportedValuesOf('timeZone')])]
const problem = ref<string>()
const input = useTemplateRef('input')

/** The name is what is typed next, not the cross in the corner. */
function focusName(event: Event) {
  event.preventDefault()
  input.value?.inputRef?.focus()
}

async function start() {
  if (name.value.trim() === '') {
    problem.value = 'A crew needs a name.'
    return
  }
  try {
    await crew.start(name.value.trim(), timeZone.value)
    open.value = false
    await navigateTo('/today')
  } catch (error) {
    problem.value = errorText(error)
  }
}
</script>

<template>
  <UModal
    v-model:open="open"
    title="Start an empty crew"
    description="The sample stays; you can change back to it at any time."
    :content="{ onOpenAutoFocus: focusName }"
  >
    <template #body>
      <form class="space-y-3" @submit.prevent="start">
        <LabelledField label="Name of the crew" :problem="problem">
          <UInput ref="input" v-model="name" maxlength="120" class="w-full" @input="problem = undefined" />
        </LabelledField>
        <LabelledField label="Time zone of its days and hours">
          <UInputMenu v-model="timeZone" :items="zones" virtualize class="w-full" />
        </LabelledField>
        <UButton type="submit" label="Start" color="primary" variant="solid" />
      </form>
    </template>
  </UModal>
</template>
