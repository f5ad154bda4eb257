<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { dayText } from '#core/calendar/dayText'
import { licenceStanding } from '#core/people/licence'
import { ROLE_WORDS, ROLES, type Role } from '#core/people/roles'
import type { CrewPeople, MadeInvitation, Member } from '#shared/schemas/people'

/** Who belongs to the crew, what each may do, and who is asked to join. */
const crew = useCrewStore()
const own = useSelfStore()
const notice = useNotice()
const people = shallowRef<CrewPeople>({ members: [], invitations: [] })
const made = shallowRef<MadeInvitation>()
const role = ref<Role>('technician')
const load = async () => {
  people.value = await ask(questions.people())
}
await load().catch((error) => notice.say('The people could not be read.', errorText(error)))

/** Does one thing to the list and reads it again; what the server says against it is told. */
async function act(work: () => Promise<unknown>) {
  try {
    await work()
    await load()
  } catch (error) {
    notice.say('Not changed.', errorText(error))
  }
}
const setRole = (member: Member, next: Role) => act(() => tell('PUT', `/people/${member.id}`, { role: next }))
const remove = (member: Member) => act(() => tell('DELETE', `/people/${member.id}`))
const withdraw = (id: string) => act(() => tell('DELETE', `/invitations/${id}`))
const invite = () =>
  act(async () => {
    made.value = await tell<MadeInvitation>('POST', '/invitations', { id: uuid(), role: role.value })
  })
const link = computed(() => made.value && `${location.origin}/join?code=${made.value.code}`)

const COLUMNS = [
  { accessorKey: 'name', header: 'Name' },
  { accessorKey: 'licence', header: 'Licence' },
  { accessorKey: 'role', header: 'Is' },
  { id: 'leave', header: '' },
]
const ITEMS = ROLES.map((value) => ({ label: value, value }))
const STANDINGS = { valid: '', 'ends-soon': ': ends soon', ended: ': ended' } as const
const licenceText = ({ licence, licenceEnds }: Member) => {
  const standing = licenceStanding(licence, licenceEnds, crew.today())
  if (standing === 'none') return 'none noted'
  const until = licenceEnds === '' ? '' : `, until ${dayText(licenceEnds)}`
  return licence + until + STANDINGS[standing]
}
</script>

<template>
  <div>
    <UTable :data="[...people.members]" :columns="COLUMNS" caption="People of the crew" class="mt-2">
      <template #licence-cell="{ row }">{{ licenceText(row.original) }}</template>
      <template #role-cell="{ row }">
        <USelect
          :model-value="row.original.role"
          :items="ITEMS"
          :aria-label="`What ${row.original.name} is`"
          class="w-36"
          @update:model-value="setRole(row.original, $event as Role)"
        />
      </template>
      <template #leave-cell="{ row }">
        <HistoryFold :row-id="row.original.id" />
        <UButton
          v-if="row.original.id !== own.person?.id"
          label="Take out"
          variant="link"
          size="sm"
          :aria-label="`Take out: ${row.original.name}`"
          @click="remove(row.original)"
        />
      </template>
    </UTable>
    <div class="mt-4 flex flex-wrap items-end gap-3">
      <UFormField label="Invite as" name="role">
        <USelect v-model="role" :items="ITEMS" class="w-36" />
      </UFormField>
      <UButton label="Make an invitation" @click="invite" />
    </div>
    <p class="soft small mt-1">{{ role }}: {{ ROLE_WORDS[role] }}.</p>
    <UAlert
      v-if="made"
      class="mt-3"
      color="neutral"
      variant="subtle"
      title="Hand this over; it is shown this once."
      role="status"
    >
      <template #description>
        <p>
          Code <strong class="whitespace-nowrap">{{ made.code }}</strong>, good for a week and for one person
          as {{ made.role }}. Or as a link: <span class="break-all">{{ link }}</span>
        </p>
      </template>
    </UAlert>
    <ul v-if="people.invitations.length > 0" class="mt-3">
      <li v-for="one in people.invitations" :key="one.id" class="flex flex-wrap items-baseline gap-x-3">
        <span>Invited as {{ one.role }} by {{ one.madeBy }}, not taken up yet</span>
        <UButton label="Withdraw" variant="link" size="sm" @click="withdraw(one.id)" />
      </li>
    </ul>
  </div>
</template>
