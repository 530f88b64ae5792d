import type { Brief, StandInsRequest } from '../brief.ts'
import type { Problem, Result } from '../problems.ts'

/** The same validators as the server's, compiled ahead of time so that a program starts at once. */
export function parseBrief(input: unknown): Result<Brief, readonly Problem[]>
export function parseStandInsRequest(input: unknown): Result<StandInsRequest, readonly Problem[]>
