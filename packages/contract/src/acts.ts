/**
 * The header in which a client names what it does (an IETF draft's, `Idempotency-Key`): a UUID of its own making, sent
 * again when an answer was lost. The second arrival gets the first answer.
 */
export const ACT_HEADER = 'idempotency-key';
