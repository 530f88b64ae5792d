import type { AmountsRequest } from '../amounts.ts'
import type { CookRequest } from '../cook.ts'
import type { LearnRequest } from '../learn.ts'
import type { ColdRequest } from '../cold.ts'
import type { ConductRequest } from '../conduct.ts'
import type { FreshnessRequest } from '../freshness.ts'
import type { Problem, Result } from '../problems.ts'
import type { FindRequest, FishFirstRequest, PotRequest, TurningRequest } from '../studies.ts'

/** Validators of the studies, apart from those that every command needs. */
export function parseTurningRequest(input: unknown): Result<TurningRequest, readonly Problem[]>
export function parsePotRequest(input: unknown): Result<PotRequest, readonly Problem[]>
export function parseConductRequest(input: unknown): Result<ConductRequest, readonly Problem[]>
export function parseColdRequest(input: unknown): Result<ColdRequest, readonly Problem[]>
export function parseFreshnessRequest(input: unknown): Result<FreshnessRequest, readonly Problem[]>
export function parseLearnRequest(input: unknown): Result<LearnRequest, readonly Problem[]>
export function parseCookRequest(input: unknown): Result<CookRequest, readonly Problem[]>
export function parseAmountsRequest(input: unknown): Result<AmountsRequest, readonly Problem[]>
export function parseFindRequest(input: unknown): Result<FindRequest, readonly Problem[]>
export function parseFishFirstRequest(input: unknown): Result<FishFirstRequest, readonly Problem[]>
