import { Type, type Static } from '@sinclair/typebox'
import { createParser } from '@tender-gill/contract/validators'

/** What the server is told when it starts. */
const Environment = Type.Object({
  databaseUrl: Type.String({ minLength: 1 }),
  port: Type.Integer({ minimum: 0, maximum: 65_535 }),
  writesPerMinute: Type.Integer({ minimum: 1, maximum: 1_000_000 }),
  logLevel: Type.Unsafe<string>({ type: 'string', enum: ['fatal', 'error', 'warn', 'info', 'debug', 'trace', 'silent'] }),
  hosts: Type.Array(Type.String({ minLength: 1 })),
  logFile: Type.Optional(Type.String()),
  clock: Type.Optional(Type.String({ format: 'date-time' })),
  webFolder: Type.Optional(Type.String()),
  feeds: Type.Optional(Type.String()),
  feedsZone: Type.String(),
  /** Where thermometers are read. */
  thermometers: Type.Optional(Type.String({ pattern: '^https?://' })),
  /** Where phones on the local network come in, and where its certificate is kept; nothing listens there unless both are said. */
  lanPort: Type.Optional(Type.Integer({ minimum: 0, maximum: 65_535 })),
  lanFolder: Type.Optional(Type.String()),
  stopWithParent: Type.Boolean(),
})
export type Environment = Static<typeof Environment>

const NAME_OF: Readonly<Record<string, string>> = {
  '/databaseUrl': 'DATABASE_URL',
  '/port': 'PORT',
  '/writesPerMinute': 'WRITES_PER_MINUTE',
  '/logLevel': 'LOG_LEVEL',
  '/lanPort': 'LAN_PORT',
  '/clock': 'TENDER_GILL_CLOCK',
  '/thermometers': 'THERMOMETERS',
}

const optional = <T>(key: string, value: T | undefined): object => (value === undefined ? {} : { [key]: value })

/** Reads what the server is told. @throws Error that names each setting that makes no sense */
export function readEnvironment(env: Readonly<Record<string, string | undefined>>): Environment {
  const parsed = createParser(Environment)({
    databaseUrl: env.DATABASE_URL ?? '',
    port: Number(env.PORT ?? 8080),
    writesPerMinute: Number(env.WRITES_PER_MINUTE ?? 600),
    logLevel: env.LOG_LEVEL ?? 'warn',
    hosts: (env.HOSTS ?? '')
      .split(',')
      .map((name) => name.trim())
      .filter(Boolean),
    feedsZone: env.FEEDS_ZONE ?? 'UTC',
    stopWithParent: Boolean(env.STOP_WITH_PARENT),
    ...optional('lanPort', env.LAN_PORT === undefined ? undefined : Number(env.LAN_PORT)),
    ...optional('lanFolder', env.LAN_FOLDER),
    ...optional('logFile', env.LOG_FILE),
    ...optional('clock', env.TENDER_GILL_CLOCK),
    ...optional('webFolder', env.WEB_FOLDER),
    ...optional('feeds', env.FEEDS),
    ...optional('thermometers', env.THERMOMETERS || undefined),
  })
  if (parsed.ok) return parsed.value
  throw new Error(parsed.error.map(({ path, message }) => `${NAME_OF[path] ?? path} ${message}; start with npm start`).join('\n'))
}
