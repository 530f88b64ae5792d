export const HEADLESS: { readonly name: string; readonly program: string }
export function findChromium(): string | undefined
export function launchOptions(): { executablePath: string | undefined; headless: boolean; chromiumSandbox: boolean; args: string[] }
