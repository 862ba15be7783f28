import { getNonce } from 'get-nonce';

/** The nonce of the page, which styles that a control adds must carry. */
export const nonce = (): string | undefined => getNonce();
