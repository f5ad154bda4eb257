import {
  ChangeMemberSchema,
  ChangePassphraseSchema,
  DeleteCrewSchema,
  FirstOwnerSchema,
  JoinSchema,
  NewInvitationSchema,
  SavePersonSchema,
  SignInSchema,
  SignOutSchema,
} from '#shared/schemas/people'
import { currentDatabase } from '../database/current'
import { isAtHome } from '../http/access'
import { asFile, asStream, defineCrewRoute, defineRoute, type Route } from '../http/defineRoute'
import { failure } from '../http/failure'
import { HASHING } from '../http/hashing'
import { keepOrganization } from '../http/organizationCookie'
import { beginSession, selfOf } from '../http/personOf'
import { dropSession } from '../http/session'
import { peopleRepository } from '../repositories/people'
import { changeMember, changePassphrase, invite, join, makeFirstOwner, signIn } from '../services/people'
import { deleteCrew, wholeCrewLines } from '../services/wholeCrew'

const allPeople = () => peopleRepository(currentDatabase().database)

/** Who people are, and the crews they belong to. */
export const PEOPLE_ROUTES: readonly Route[] = [
  defineRoute({
    path: 'GET /api/people/me',
    summary: 'Who is at this screen',
    handle: async ({ event }) => {
      const { person } = event.context
      return {
        person: person ?? null,
        sessions: person ? await allPeople().sessionsOf(person.id) : 0,
        open: isAtHome(event),
      }
    },
  }),
  defineRoute({
    path: 'PUT /api/people/me',
    summary: 'Own name and licence',
    body: SavePersonSchema,
    fails: [401, 409],
    handle: async ({ event, body }) => {
      const { id } = selfOf(event)
      const written = await allPeople().update(id, body)
      const stored = await allPeople().find(id)
      if (!written || !stored)
        throw failure('changed-elsewhere', 'This was changed elsewhere since you opened it.', stored)
      return stored
    },
  }),
  defineRoute({
    path: 'POST /api/people/sign-in',
    summary: 'A session on this device',
    body: SignInSchema,
    fails: [401, 429],
    handle: async ({ event, body }) => {
      const person = await signIn(currentDatabase().database, HASHING, body)
      await beginSession(event, person.id)
      return person
    },
  }),
  defineRoute({
    path: 'POST /api/people/sign-out',
    summary: 'The session here, or all of them, ended',
    body: SignOutSchema,
    handle: async ({ event, body: { where } }) => {
      const { person, sessionId } = event.context
      if (person && where === 'everywhere') await allPeople().endSessions(person.id)
      if (sessionId) await allPeople().endSession(sessionId)
      await dropSession(event)
      return { signedOut: where }
    },
  }),
  defineRoute({
    path: 'PUT /api/people/passphrase',
    summary: 'A new passphrase; sessions elsewhere end',
    body: ChangePassphraseSchema,
    fails: [401, 429],
    handle: async ({ event, body }) => {
      const { id } = selfOf(event)
      const { sessionId } = event.context
      await changePassphrase(currentDatabase().database, HASHING, { id, sessionId }, body)
      return { changed: true }
    },
  }),
  defineRoute({
    path: 'POST /api/people/first',
    summary: 'The first owner of a crew that had no people',
    body: FirstOwnerSchema,
    status: 201,
    fails: [403, 404],
    handle: async ({ event, body }) => {
      await makeFirstOwner(currentDatabase().database, HASHING, body)
      await beginSession(event, body.id)
      keepOrganization(event, body.organizationId)
      return { id: body.id }
    },
  }),
  defineRoute({
    path: 'POST /api/people/join',
    summary: 'An invitation taken up',
    body: JoinSchema,
    status: 201,
    fails: [401, 404, 409],
    handle: async ({ event, body }) => {
      const { person } = event.context
      const { personId, organizationId } = await join(currentDatabase().database, HASHING, body, person)
      if (body.person) await beginSession(event, personId)
      keepOrganization(event, organizationId)
      return { organizationId }
    },
  }),
  defineCrewRoute({
    path: 'GET /people',
    summary: 'The people of the crew and those invited',
    deed: 'govern',
    handle: async ({ repositories: { members } }) => ({
      members: await members.list(),
      invitations: await members.invitations(),
    }),
  }),
  defineCrewRoute({
    path: 'PUT /people/:id',
    summary: 'Another role for a person of the crew',
    deed: 'govern',
    body: ChangeMemberSchema,
    fails: [403, 409],
    handle: async ({ repositories, id, body: { role } }) => {
      await changeMember(repositories, id, role)
      return { id, role }
    },
  }),
  defineCrewRoute({
    path: 'DELETE /people/:id',
    summary: 'A person leaves the crew; their name stays on what they did',
    fails: [403, 409],
    handle: async ({ repositories, id }) => {
      await changeMember(repositories, id, 'leaves')
      return { id }
    },
  }),
  defineCrewRoute({
    path: 'POST /invitations',
    summary: 'An invitation; its code is shown this once, to be handed over',
    deed: 'govern',
    body: NewInvitationSchema,
    status: 201,
    fails: [403, 422],
    handle: ({ repositories, organization, body, event }) => {
      if (!organization.peopled)
        throw failure('not-ready', 'A crew invites people once it has an owner: become its owner first.')
      return invite(repositories, body, selfOf(event).name)
    },
  }),
  defineCrewRoute({
    path: 'DELETE /invitations/:id',
    summary: 'An invitation withdrawn',
    handle: async ({ repositories, id }) => {
      await repositories.members.withdraw(id)
      return { id }
    },
  }),
  defineCrewRoute({
    path: 'GET /history/:id',
    summary: 'Who changed one thing, the newest first',
    handle: ({ repositories, id }) => repositories.history.of(id),
  }),
  defineCrewRoute({
    path: 'GET /whole',
    summary: 'Everything of the crew, a line of JSON for each row',
    deed: 'govern',
    answer: ['application/x-ndjson'],
    handle: ({ repositories, organization, today, event }) => {
      asFile(event, 'application/x-ndjson; charset=utf-8', `crew-${today}.ndjson`)
      return asStream(event, wholeCrewLines(repositories, organization))
    },
  }),
  defineCrewRoute({
    path: 'DELETE /whole',
    summary: 'The crew gone for good, with everything it ever wrote down',
    body: DeleteCrewSchema,
    fails: [403, 409],
    handle: async ({ repositories, organization, body: { name } }) => {
      await deleteCrew(repositories, organization, name)
      return { id: organization.id }
    },
  }),
]
