<script setup lang="ts">
/** Who may come in, on the page of settings. */
const crew = useCrewStore()
const own = useSelfStore()
</script>

<template>
  <section aria-labelledby="people-title">
    <h2 id="people-title">People</h2>
    <p v-if="crew.organization?.kind === 'sample'">
      The sample is open to everybody at this machine. Start a crew of your own to have people in it.
    </p>
    <FirstOwner v-else-if="own.open" />
    <CrewMembers v-else-if="own.may('govern')" />
    <p v-else>Owners of the crew invite people and settle what each may do.</p>
  </section>
</template>
