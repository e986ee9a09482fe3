/** A short soft sound, made on the spot; silent where the browser will not play before a first tap. */
export function chime(times = 1): void {
  const Audio = window.AudioContext
  if (!Audio) return
  const context = new Audio()
  for (let k = 0; k < times; k += 1) {
    const at = context.currentTime + k * 0.35
    const tone = context.createOscillator()
    const loud = context.createGain()
    tone.frequency.value = 660
    loud.gain.setValueAtTime(0, at)
    loud.gain.linearRampToValueAtTime(0.25, at + 0.02)
    loud.gain.exponentialRampToValueAtTime(0.001, at + 0.3)
    tone.connect(loud).connect(context.destination)
    tone.start(at)
    tone.stop(at + 0.32)
  }
  setTimeout(() => void context.close(), times * 350 + 500)
}
