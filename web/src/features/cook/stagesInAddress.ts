import { typedNumber } from '../../typed/index.ts'
import { COOK_MEDIA, type CookMedium, type CookStage } from '@tender-gill/contract'

const isMedium = (text: string): text is CookMedium => (COOK_MEDIA as readonly string[]).includes(text)
/** Stages as they stand in the address: `pan~180~3~turned`, one after the other. */
export const writeStages = (stages: readonly CookStage[]): string =>
  stages
    .map(({ medium, celsius, minutes, share, turned }) =>
      [medium, celsius ?? '', minutes ?? '', share ?? '', turned ? 'turned' : ''].join('~').replace(/~+$/, '').replaceAll('.', ','),
    )
    .join('.')

/** Stages from the address; what is none is left out, and undefined where none is left. Points stand between stages, so figures have a comma. */
export function readStages(text: string | null): readonly CookStage[] | undefined {
  const stages = (text ?? '').split('.').flatMap((one): CookStage[] => {
    const [medium = '', celsius, minutes, share, turned] = one.split('~')
    if (!isMedium(medium)) return []
    const [at, long, of] = [celsius, minutes, share].map((figure) =>
      figure === undefined ? undefined : typedNumber(figure, { least: -60 }),
    )
    return [
      {
        medium,
        ...(at !== undefined && { celsius: at }),
        ...(long !== undefined && { minutes: long }),
        ...(of !== undefined && { share: of }),
        ...(turned === 'turned' && { turned: true }),
      },
    ]
  })
  return stages.length > 0 ? stages : undefined
}
