import * as v from 'valibot'
import {
  ChooseOrganizationSchema,
  NewOrganizationSchema,
  SaveMixesSchema,
  SaveOrganizationSchema,
} from '#shared/schemas/organization'
import { currentDatabase } from '../database/current'
import { isAtHome } from '../http/access'
import { crewsOf } from '../http/crewsOf'
import { defineCrewRoute, defineRoute, found, type Route } from '../http/defineRoute'
import { failure } from '../http/failure'
import { keepOrganization, ORGANIZATION_COOKIE } from '../http/organizationCookie'
import { forOrganization } from '../repositories/forOrganization'
import { organizationsRepository } from '../repositories/organizations'
import { peopleRepository } from '../repositories/people'
import { crewNames } from '../services/crewNames'
import { saveOrganization } from '../services/saveOrganization'
import { reopenSample } from '../services/seedSample'
import { todayPage } from '../services/today'
import { Words } from './queries'

/** Anybody who may come in can make one: so many, and no more. */
const MOST_CREWS = 5000
/** Of each kind of thing that is found by its words. */
const FOUND_EACH = 6
const MOST_REFUSALS = 50

/** Crews, their settings, and what is shown of all of one. */
export const ORGANIZATION_ROUTES: readonly Route[] = [
  defineRoute({
    path: 'GET /api/organizations',
    summary: 'The crews that may be opened, and which one was open last',
    fails: [401, 404],
    handle: async ({ event }) => {
      const { person } = event.context
      const all = await crewsOf(event)
      const last = getCookie(event, ORGANIZATION_COOKIE)
      const current =
        all.find(({ id }) => id === last) ??
        all.find(({ peopled }) => peopled) ??
        all.find(({ kind }) => kind === 'sample') ??
        all[0]
      if (!current)
        throw person
          ? failure('not-found', 'You belong to no crew: ask for an invitation.')
          : failure('sign-in', 'Sign in first.')
      const role =
        person && current.peopled
          ? ((await peopleRepository(currentDatabase().database).roleIn(current.id, person.id)) ?? 'viewer')
          : 'owner'
      return { current, role, all: all.map(({ id, name, kind }) => ({ id, name, kind })) }
    },
  }),
  defineRoute({
    path: 'POST /api/organizations',
    summary: 'A crew of one’s own; who is signed in becomes its owner',
    body: NewOrganizationSchema,
    status: 201,
    fails: [401, 409, 415],
    handle: async ({ event, body }) => {
      const { person } = event.context
      if (!person && !isAtHome(event)) throw failure('sign-in', 'Sign in first.')
      const { database } = currentDatabase()
      const organizations = organizationsRepository(database)
      const there = await organizations.find(body.id)
      if (there && !(await crewsOf(event)).some(({ id }) => id === there.id))
        throw failure('taken', 'Something else has this id already: take a new one.')
      if (!there && (await organizations.count()) >= MOST_CREWS)
        throw failure('locked', `This server keeps at most ${MOST_CREWS} crews.`)
      const made = await organizations.create(
        body,
        body.timeZone ?? Intl.DateTimeFormat().resolvedOptions().timeZone,
      )
      if (person && !there)
        await forOrganization(database, made.id, undefined, person).members.put(person.id, 'owner')
      keepOrganization(event, made.id)
      return (await organizations.find(made.id)) ?? made
    },
  }),
  defineRoute({
    path: 'PUT /api/organizations/current',
    summary: 'Change to another crew',
    body: ChooseOrganizationSchema,
    fails: [404],
    handle: async ({ event, body }) => {
      const chosen = found(
        (await crewsOf(event)).find(({ id }) => id === body.id),
        'crew',
      )
      keepOrganization(event, chosen.id)
      return chosen
    },
  }),
  defineRoute({
    path: 'POST /api/organizations/sample',
    summary: 'Open the sample afresh on its morning; the old one is kept, but no longer offered',
    status: 201,
    fails: [401, 503],
    handle: async ({ event }) => {
      if (!event.context.person && !isAtHome(event)) throw failure('sign-in', 'Sign in first.')
      const { database } = currentDatabase()
      await reopenSample(database)
      const open = await organizationsRepository(database).openTo([], 'sample')
      const sample = open.find(({ kind }) => kind === 'sample')
      if (!sample) throw failure('starting', 'There is no sample; try again in a moment.')
      keepOrganization(event, sample.id)
      return sample
    },
  }),
  defineCrewRoute({
    path: 'GET /settings',
    summary: 'The crew with its house rules as they are now',
    handle: ({ organization }) => organization,
  }),
  defineCrewRoute({
    path: 'PUT /settings',
    summary: 'Name, licence, clock and house rules',
    deed: 'govern',
    body: SaveOrganizationSchema,
    fails: [409],
    handle: ({ repositories, body }) => saveOrganization(repositories, body),
  }),
  defineCrewRoute({
    path: 'PUT /mixes',
    summary: 'What the crew found of pairs of products',
    body: SaveMixesSchema,
    fails: [409],
    handle: ({ repositories, organization, body: { version, mixes } }) => {
      const { name, licence, units, timeZone, settings } = organization
      return saveOrganization(repositories, {
        version,
        name,
        licence,
        units,
        timeZone,
        settings: { ...settings, local: [...settings.local], mixes },
      })
    },
  }),
  defineCrewRoute({
    path: 'GET /names',
    summary: 'Names a job can be given to',
    handle: ({ repositories }) => crewNames(repositories),
  }),
  defineCrewRoute({
    path: 'GET /find',
    summary: 'Everything whose words begin so, a few of each kind',
    query: v.object({ q: Words }),
    handle: ({ repositories, query }) => repositories.finder.find(query.q, FOUND_EACH),
  }),
  defineCrewRoute({
    path: 'GET /today',
    summary: 'What the crew faces this morning',
    handle: ({ repositories, organization }) => todayPage(repositories, organization),
  }),
  defineCrewRoute({
    path: 'GET /refusals',
    summary: 'Stops that kept jobs from being planned or run, the newest first',
    handle: ({ repositories }) => repositories.refusals.latest(MOST_REFUSALS),
  }),
]
