import { fireEvent, screen, waitFor, within } from '../../testing/page.tsx'
import { NO_PROGRESS } from '@tender-gill/core'
import { describe, expect, it } from 'vitest'
import { openPage } from '../../testing/openPage.tsx'

const choices = async () => within(await screen.findByRole('group', { name: 'Choices' })).findAllByRole<HTMLButtonElement>('button')
/** The question with its choices: two in a row may be put in the same words. */
const question = () => screen.getByRole('region', { name: 'The question' }).textContent
const kept = () => JSON.parse(localStorage.getItem('tender-gill-practice') ?? 'null') as { progress: { round: number; right: number } }

describe('practice', () => {
  it('says at once what was right and why, counts the round, and asks the next', async () => {
    // Somebody who begins, always with the same questions.
    localStorage.setItem('tender-gill-practice', JSON.stringify({ seed: 7, progress: NO_PROGRESS }))
    await openPage('/practice', { dishes: [] })
    let right = 0
    for (let round = 1; round <= 3; round += 1) {
      const [first] = await choices()
      const before = question()
      if (!first) throw new Error('nothing to choose from')
      fireEvent.click(first)
      const reason = await screen.findByRole('status', { name: 'The reason' })
      expect(reason.textContent).toMatch(/^(Right\.|No: .+\.).+/)
      const marked = (await choices()).filter(({ textContent }) => textContent?.endsWith('✓'))
      expect(marked).toHaveLength(1)
      for (const choice of await choices()) expect(choice.disabled).toBe(true)
      if (reason.textContent?.startsWith('Right.')) right += 1
      else expect(first.textContent).toMatch(/✗$/)
      fireEvent.click(within(reason).getByRole('button', { name: 'The next one' }))
      await waitFor(() => expect(screen.queryByRole('status', { name: 'The reason' })).toBeNull())
      await waitFor(() => expect(screen.getByRole('status', { name: 'How it goes' }).textContent).toContain(`${right} of ${round} right`))
      await waitFor(() => expect(question()).not.toBe(before))
      expect(kept().progress).toMatchObject({ round, right })
    }
  })
})
