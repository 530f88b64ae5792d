/** Time that is left, as on a clock across the kitchen: 4:05, 1:02:00, and how long it has been due. */
export function sayLeft(ms: number): string {
  const seconds = Math.floor(Math.abs(ms) / 1000)
  const [hours, minutes] = [Math.floor(seconds / 3600), Math.floor(seconds / 60) % 60]
  const two = (n: number) => String(n).padStart(2, '0')
  const clock = hours > 0 ? `${hours}:${two(minutes)}:${two(seconds % 60)}` : `${minutes}:${two(seconds % 60)}`
  return ms < 0 ? `due ${clock}` : clock
}
