/** What waits on a device. */
export const keptWords = (count: number): string =>
  `${count === 1 ? 'One thing you wrote is' : `${count} things you wrote are`} on this device and not stored yet.`
