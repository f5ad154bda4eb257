import { workDay } from '#core/calendar/workDay'
import { composeSheet } from '#core/jobsheet/applicationSheet'
import { dayNeeds, daySpray } from '#core/jobsheet/dayNeeds'
import type { CheckRooms } from '#core/jobsheet/labelContext'
import { alikeApart, sharedMixes, type DayApplication } from '#core/jobsheet/sharedMix'
import { openWorkingBook } from '#core/working/working'
import type { Area, LedgerRow } from '#shared/schemas/ground'
import type { Job } from '#shared/schemas/job'

const siteRooms = async (id: string): Promise<Pick<CheckRooms, 'areas' | 'history'>> => {
  const [areas, history] = await Promise.all([
    $fetch<readonly Area[]>('/api/rooms/areas', { query: { siteId: id } }),
    $fetch<readonly LedgerRow[]>(`/api/sites/${id}/ledger`),
  ])
  return { areas, history }
}

/** The jobs of one day in driving order, worked out together: common mixes, what goes on the truck. */
export function useDay(day: MaybeRefOrGetter<string>) {
  const crew = useCrewStore()
  const rooms = useRoomsStore()
  const jobs = shallowRef<readonly Job[]>([])
  /** Lawns and ledger of every site of the day. */
  const sites = shallowRef<ReadonlyMap<string, Pick<CheckRooms, 'areas' | 'history'>>>(new Map())
  const problem = ref<string>()
  const { allChecks, house } = useCheckRooms()

  async function load() {
    try {
      const found = await $fetch<readonly Job[]>(`/api/days/${toValue(day)}`)
      const ids = [...new Set(found.flatMap(({ siteId }) => siteId ?? []))]
      sites.value = new Map(await Promise.all(ids.map(async (id) => [id, await siteRooms(id)] as const)))
      jobs.value = found
      problem.value = undefined
    } catch (error) {
      problem.value = errorText(error)
    }
  }

  const sheets = computed(() =>
    jobs.value.flatMap((job) =>
      job.applications.map(({ id, document }) => ({
        job,
        id,
        document,
        sheet: composeSheet(document, workDay(job.plannedFor, crew.today()), undefined, house.value),
      })),
    ),
  )
  const applications = computed(() =>
    sheets.value.flatMap(({ job, id, document, sheet: { request, plan } }): DayApplication[] =>
      request && plan
        ? [{ applicationId: id, jobId: job.id, site: job.site || 'Unnamed site', document, request, plan }]
        : [],
    ),
  )
  /** What stops each job, by its id: on its own sheet, by the labels and by what lies on its lawns. */
  const stopped = computed(
    () =>
      new Map(
        jobs.value
          .filter(({ state }) => state === 'draft' || state === 'planned')
          .flatMap((job) => {
            const own = sheets.value
              .filter((one) => one.job.id === job.id)
              .flatMap(({ document, sheet }) => {
                const site = job.siteId === null ? undefined : sites.value.get(job.siteId)
                return site ? allChecks(document, sheet, site, job.plannedFor) : sheet.checks
              })
              .filter(({ level }) => level === 'stop')
              .map(({ message }) => message)
            return own.length > 0 ? [[job.id, own] as const] : []
          }),
      ),
  )
  const unready = computed(() =>
    jobs.value.filter((job) =>
      job.applications.some(
        ({ id }) => !applications.value.some(({ applicationId }) => applicationId === id),
      ),
    ),
  )
  const mixes = computed(() => sharedMixes(applications.value))
  const needs = computed(() => dayNeeds(applications.value, mixes.value, rooms.products))
  const spray = computed(() => daySpray(applications.value, mixes.value))
  /** Applications that are sprayed alike but mixed apart. */
  const alike = computed(() =>
    alikeApart(applications.value.filter(({ applicationId }) => stateOf(applicationId) === 'planned')),
  )
  const stateOf = (applicationId: string) =>
    jobs.value.flatMap((job) => job.applications).find(({ id }) => id === applicationId)?.state ?? 'planned'

  /** Puts a job one place earlier or later. */
  async function move(index: number, way: -1 | 1) {
    const order = jobs.value.map(({ id }) => id)
    const [taken] = order.splice(index, 1)
    if (taken === undefined) return
    order.splice(index + way, 0, taken)
    await change(() =>
      $fetch<readonly Job[]>(`/api/days/${toValue(day)}`, { method: 'PUT', body: { order } }).then((now) => {
        jobs.value = now
      }),
    )
  }

  /** Marks applications as one mix, or as mixed apart again, and saves their jobs. */
  async function share(own: readonly Pick<DayApplication, 'applicationId' | 'jobId'>[], shared: '' | 'day') {
    await change(async () => {
      for (const job of jobs.value.filter(({ id }) => own.some(({ jobId }) => jobId === id))) {
        const draft = draftOf(job)
        const marked = draft.applications.map((one) =>
          own.some(({ applicationId }) => applicationId === one.id)
            ? { ...one, document: { ...one.document, spray: { ...one.document.spray, shared } } }
            : one,
        )
        await $fetch(`/api/jobs/${job.id}`, { method: 'PUT', body: { ...draft, applications: marked } })
      }
      await load()
    })
  }

  async function change(act: () => Promise<void>) {
    try {
      await act()
      problem.value = undefined
    } catch (error) {
      const told = errorText(error)
      await load()
      problem.value = told
    }
  }

  function pages() {
    const book = openWorkingBook()
    sharedMixes(applications.value, book)
    dayNeeds(applications.value, mixes.value, rooms.products, book)
    daySpray(applications.value, mixes.value, book)
    for (const mix of mixes.value)
      for (const { figure, lines } of mix.plan.working) book.note(figure, () => lines)
    return book.pages()
  }
  return {
    jobs,
    problem,
    load,
    applications,
    unready,
    stopped,
    mixes,
    needs,
    spray,
    alike,
    move,
    share,
    pages,
  }
}
