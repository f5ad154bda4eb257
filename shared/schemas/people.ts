import * as v from 'valibot'
import { LONGEST_PASSPHRASE } from '#core/people/passphrase'
import { ROLES, type Role } from '#core/people/roles'
import { BlankOrDay, Line, Name, Uuid, Version } from '#core/shape/texts'

/** What a person signs in with: letters, digits and a few signs; an address will do. */
const SignInName = v.pipe(
  v.string(),
  v.trim(),
  v.toLowerCase(),
  v.minLength(3, 'A name to sign in with has at least three characters.'),
  v.maxLength(120, 'is too long'),
  v.regex(/^[\p{L}\p{N}._@+-]+$/u, 'A name to sign in with has no blanks: rosa.field or an address.'),
)
/** Looked at by the core; here only so long that nobody can make the server hash a book. */
const Passphrase = v.pipe(v.string(), v.maxLength(LONGEST_PASSPHRASE, 'is too long'))
const Code = v.pipe(v.string(), v.trim(), v.minLength(1, 'The code is missing.'), v.maxLength(100))

export const SignInSchema = v.strictObject({ signIn: SignInName, passphrase: Passphrase })
export const SignOutSchema = v.strictObject({ where: v.picklist(['here', 'everywhere']) })
export const ChangePassphraseSchema = v.strictObject({ now: Passphrase, next: Passphrase })

const NewPerson = { id: Uuid, name: Name, signIn: SignInName, passphrase: Passphrase }
/** The first owner of a crew shows the code that was printed where the server was started. */
export const FirstOwnerSchema = v.strictObject({ ...NewPerson, organizationId: Uuid, code: Code })
export type FirstOwner = v.InferOutput<typeof FirstOwnerSchema>
/** Somebody new takes up an invitation; one who is signed in already shows the code alone. */
export const JoinSchema = v.strictObject({ code: Code, person: v.optional(v.strictObject(NewPerson)) })
export type Join = v.InferOutput<typeof JoinSchema>

export const SavePersonSchema = v.strictObject({
  version: Version,
  name: Name,
  licence: Line,
  licenceEnds: BlankOrDay,
})
export type SavePerson = v.InferOutput<typeof SavePersonSchema>

export const NewInvitationSchema = v.strictObject({ id: Uuid, role: v.picklist(ROLES) })
export const ChangeMemberSchema = v.strictObject({ role: v.picklist(ROLES) })

/** A crew is deleted by repeating its name. */
export const DeleteCrewSchema = v.strictObject({ name: v.pipe(v.string(), v.maxLength(200)) })

/** A person as the crew and the person see them; never what they sign in with. */
export interface Person {
  readonly id: string
  readonly version: number
  readonly name: string
  readonly licence: string
  /** Last day of the licence, or blank. */
  readonly licenceEnds: string
}

export interface Member extends Omit<Person, 'version'> {
  readonly role: Role
}

/** An invitation that nobody took up yet. */
export interface OpenInvitation {
  readonly id: string
  readonly role: Role
  readonly madeBy: string
  readonly endsAt: string
}

export interface CrewPeople {
  readonly members: readonly Member[]
  readonly invitations: readonly OpenInvitation[]
}

/** What came of an invitation: the code is shown this once, to be handed over. */
export interface MadeInvitation extends OpenInvitation {
  readonly code: string
}

/** Who is at this screen: a person, or nobody where none is asked for. */
export interface Self {
  readonly person: Person | null
  /** Devices this person is signed in on. */
  readonly sessions: number
  /** Crews without people may be opened from here without signing in. */
  readonly open: boolean
}

/** A line of what happened to a thing. */
export interface HistoryLine {
  /** Of a person in the crew: what they became. */
  readonly what: 'made' | 'changed' | 'deleted' | 'brought back' | 'taken out' | `as ${Role}`
  readonly person: string
  readonly at: string
}
