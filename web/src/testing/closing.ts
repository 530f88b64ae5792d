const closing: (() => void | Promise<void>)[] = []

/** Something to be closed when the test is over. */
export function closeLater(close: () => void | Promise<void>): void {
  closing.push(close)
}

/** Closes what a test has opened, the last opened first. */
export async function closeAll(): Promise<void> {
  for (const close of closing.splice(0).reverse()) await close()
}
