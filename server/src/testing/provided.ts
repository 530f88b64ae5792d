import 'vitest'

declare module 'vitest' {
  export interface ProvidedContext {
    /** Address of the template database: migrated, with the demo laid; nobody connects to it. */
    readonly templateUrl: string
    /** The same without any kitchen. */
    readonly bareUrl: string
  }
}
