import type { Brief } from '../brief.ts'
import type { Problem, Result } from '../problems.ts'

/** The same validator as the server's, compiled ahead of time so that no code is made in the browser. */
export function parseBrief(input: unknown): Result<Brief, readonly Problem[]>
