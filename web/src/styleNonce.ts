/** The nonce by which the server lets styles in that are written while the page runs; undefined where it sends none. */
export const readStyleNonce = (): string | undefined => document.querySelector<HTMLMetaElement>('meta[property="csp-nonce"]')?.nonce
