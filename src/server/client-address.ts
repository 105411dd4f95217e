/**
 * Under which a request says where it comes from. `scripts/serve.mjs` writes it over whatever was sent, as it alone sees the
 * connection.
 */
export const ADDRESS_HEADER = 'x-client-address';
