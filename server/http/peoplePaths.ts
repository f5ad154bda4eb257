import type { GenericSchema } from 'valibot'
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

export type Described = Readonly<Record<string, unknown>>

/** How the description writes bodies, answers and parameters. */
export interface Writing {
  readonly body: (schema: GenericSchema) => Described
  readonly answer: (description: string) => Described
  readonly errors: (...statuses: readonly number[]) => Described
  readonly id: Described
}

/** What the API's description says of people: who they are, and the crews they belong to. */
export function peoplePaths({ body, answer, errors, id }: Writing): Described {
  const takes = (summary: string, schema: GenericSchema, ...statuses: readonly number[]) => ({
    summary,
    requestBody: body(schema),
    responses: { 200: answer(summary), ...errors(400, ...statuses) },
  })
  const tells = (summary: string) => ({ summary, responses: { 200: answer(summary), ...errors(401) } })
  const crew = '/api/organizations/{organization}'
  return {
    '/api/people/me': {
      get: tells('who is at this screen'),
      put: takes('own name and licence', SavePersonSchema, 401, 409),
    },
    '/api/people/sign-in': { post: takes('a session on this device', SignInSchema, 401, 429) },
    '/api/people/sign-out': { post: takes('the session here, or all of them, ended', SignOutSchema) },
    '/api/people/passphrase': { put: takes('a new passphrase', ChangePassphraseSchema, 401, 429) },
    '/api/people/first': { post: takes('the first owner of a crew', FirstOwnerSchema, 403, 404) },
    '/api/people/join': { post: takes('an invitation taken up', JoinSchema, 401, 404, 409) },
    [`${crew}/people`]: { get: tells('the people of the crew and those invited') },
    [`${crew}/people/{id}`]: {
      parameters: [id],
      put: takes('another role', ChangeMemberSchema, 403, 404, 409),
      delete: tells('a person leaves the crew'),
    },
    [`${crew}/invitations`]: { post: takes('an invitation with its code', NewInvitationSchema, 403, 422) },
    [`${crew}/invitations/{id}`]: { parameters: [id], delete: tells('an invitation withdrawn') },
    [`${crew}/whole`]: {
      get: tells('everything of the crew, a line of JSON for each row'),
      delete: takes('the crew gone for good', DeleteCrewSchema, 403, 409),
    },
    [`${crew}/history/{id}`]: { parameters: [id], get: tells('who changed one thing, and when') },
  }
}
