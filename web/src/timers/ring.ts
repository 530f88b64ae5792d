/** A short tone, where the browser lets a page sound. */
export function ring(): void {
  try {
    const audio = new AudioContext()
    const tone = audio.createOscillator()
    const level = audio.createGain()
    tone.frequency.value = 880
    level.gain.setValueAtTime(0.25, audio.currentTime)
    level.gain.exponentialRampToValueAtTime(0.001, audio.currentTime + 1.2)
    tone.connect(level).connect(audio.destination)
    tone.start()
    tone.stop(audio.currentTime + 1.2)
    tone.onended = () => void audio.close()
  } catch {
    // Silent where there is no sound: the bar says it all the same.
  }
}
