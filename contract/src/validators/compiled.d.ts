import type { Brief, StandInsRequest } from '../brief.ts'
import type { Problem, Result } from '../problems.ts'
import type { FishFirstRequest, PotRequest, TurningRequest } from '../studies.ts'

/** The same validators as the server's, compiled ahead of time so that a program starts at once. */
export function parseBrief(input: unknown): Result<Brief, readonly Problem[]>
export function parseStandInsRequest(input: unknown): Result<StandInsRequest, readonly Problem[]>
export function parseTurningRequest(input: unknown): Result<TurningRequest, readonly Problem[]>
export function parsePotRequest(input: unknown): Result<PotRequest, readonly Problem[]>
export function parseFishFirstRequest(input: unknown): Result<FishFirstRequest, readonly Problem[]>
