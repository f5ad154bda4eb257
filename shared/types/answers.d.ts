/** What routes answer, read from the types of their handlers when the server is built. */
declare module '#answers' {
  interface Told {
    /** By method and path as declared. */
    readonly answers: Readonly<Record<string, object>>
    /** Rows of the library by kind. */
    readonly rows: Readonly<Record<string, object>>
    /** What both name. */
    readonly schemas: Readonly<Record<string, object>>
  }
  const told: Told
  export default told
}
