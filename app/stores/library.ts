import { defineStore } from 'pinia'
import type { ToolDocument } from '#core/calibration/equipmentShape'

/** The site whose lawns are in hand, with the job and the day they are looked at for. */
interface SiteInHand {
  readonly siteId: string | null
  /** Its own work is not that of another; blank where no job is in hand. */
  readonly jobId: string
}

const NO_SITE: SiteInHand = { siteId: null, jobId: '' }

/**
 * What the crew keeps that every job draws on: equipment with its calibrations, labels, and the areas of a
 * site. What belongs to a site is only ever that of the site in hand.
 */
export const useLibraryStore = defineStore('library', () => {
  const crew = useCrewStore()
  const wanted = ref(false)
  const ofCrew = <T>(question: () => Question<readonly T[]>) =>
    useAnswers(() => (wanted.value && crew.organization ? question() : undefined))
  const equipment = ofCrew(questions.equipment)
  const calibrations = ofCrew(questions.calibrations)
  const products = ofCrew(questions.products)
  // What was read ahead on a phone before it knew this stands without it.
  const held = ofCrew(questions.held)
  const needed = [equipment, calibrations, products]

  const inHand = shallowRef<SiteInHand>(NO_SITE)
  // A site of one crew is none of another.
  watch(
    () => crew.organization?.id,
    () => takeInHand(NO_SITE),
    { flush: 'sync' },
  )
  const dayInHand = ref('')
  const ofSite = <T>(question: (siteId: string) => Question<readonly T[]>) =>
    useAnswers(() => (inHand.value.siteId === null ? undefined : question(inHand.value.siteId)))
  const areas = ofSite(questions.areas)
  // The sheet stands without its place on the earth: lanes then have no files for a map program.
  const site = useAnswer(() =>
    inHand.value.siteId === null ? undefined : questions.site(inHand.value.siteId),
  )
  const ledger = ofSite(questions.ledger)
  const planned = ofSite((siteId) => questions.planned(siteId, inHand.value.jobId))
  // Without the weather the sheet stands, and its rules are silent.
  const weather = useAnswer(() =>
    inHand.value.siteId === null || dayInHand.value === ''
      ? undefined
      : questions.siteWeather(inHand.value.siteId, dayInHand.value),
  )

  /**
   * Whether what lies on the lawns could be read: without it intervals and limits of the year are not
   * checked.
   */
  const ledgerState = computed(() => {
    const parts = [areas, ledger, planned]
    if (parts.some(({ problem: why }) => why.value !== undefined)) return 'missing'
    return parts.some(({ loading }) => loading.value) ? 'reading' : 'read'
  })
  const tools = computed(() =>
    equipment.answer.value.flatMap(({ document }): readonly ToolDocument[] =>
      document.kind === 'tool' ? [document] : [],
    ),
  )
  /** Whether the library was read at all since the page was opened. */
  const loaded = computed(() => needed.every(({ known }) => known.value))
  const problem = computed(() => needed.map((one) => one.problem.value).find((one) => one !== undefined))

  /** Has the library read, for whoever stands without it until it is there. */
  function want() {
    if (!wanted.value || problem.value !== undefined) void load().catch(() => undefined)
  }

  /** Reads the library anew; rejects where it can't be read, and what was read before stays. */
  async function load() {
    wanted.value = true
    await Promise.all([...needed.map(({ need }) => need()), held.again()])
  }

  /** Takes a site in hand, or none: what belongs to it is asked for. */
  function takeInHand(site: SiteInHand) {
    inHand.value = site
  }
  /** Takes a site in hand and reads it anew; rejects where its lawns can't be read. */
  async function loadAreas(siteId: string | null, jobId = '') {
    takeInHand({ siteId, jobId })
    await Promise.all([areas.need(), ...[site, ledger, planned].map(({ again }) => again())])
  }
  /** The day whose weather counts on the site in hand. */
  function lookAtDay(on: string) {
    dayInHand.value = on
  }
  return {
    siteId: computed(() => inHand.value.siteId),
    equipment: equipment.answer,
    calibrations: calibrations.answer,
    products: products.answer,
    /** What machines last held. */
    held: held.answer,
    areas: areas.answer,
    /** What was put down on the site in hand. */
    ledger: ledger.answer,
    /** What other planned jobs are going to put down there. */
    planned: planned.answer,
    /** What the station of the site in hand says of the day in hand. */
    weather: computed(() => weather.answer.value ?? undefined),
    /** Where the plan of the site in hand lies on the earth; undefined where it is not anchored. */
    anchor: computed(() => site.answer.value?.document.anchor),
    ledgerState,
    tools,
    loaded,
    problem,
    want,
    load,
    takeInHand,
    loadAreas,
    lookAtDay,
  }
})
