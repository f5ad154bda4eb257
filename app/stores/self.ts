import { defineStore } from 'pinia'
import { mayDo, type Deed } from '#core/people/roles'
import type { Person, Self } from '#shared/schemas/people'

/** What this device keeps of a crew to be read without a network; what was written down is no part of it. */
const forgetSeen = async (): Promise<void> => {
  if (!('caches' in globalThis)) return
  await Promise.all(['crew-data', 'crew-pictures'].map((name) => caches.delete(name)))
}

/** Who is at this screen, and what they may do in the crew in hand. */
export const useSelfStore = defineStore('self', () => {
  const crew = useCrewStore()
  const self = shallowRef<Self>()
  const person = computed(() => self.value?.person ?? undefined)
  /** Nobody is asked to sign in for the crew in hand. */
  const open = computed(() => crew.organization?.peopled !== true)
  const may = (deed: Deed): boolean => mayDo(crew.choice?.role ?? 'viewer', deed)

  async function load() {
    self.value = await ask(questions.me()).catch(() => undefined)
  }
  function take(person: Person) {
    if (self.value) self.value = { ...self.value, person }
  }
  async function signOut(where: 'here' | 'everywhere') {
    await tell('POST', '/api/people/sign-out', { where })
    await forgetSeen()
    self.value = undefined
    useSenderStore().forget()
    crew.leave()
    await navigateTo('/sign-in')
    forgetAnswers()
  }
  return { self, person, open, may, load, take, signOut }
})
