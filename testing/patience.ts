/**
 * How long a test waits for what it expects before it says that it did not come. A machine under load is no fault, so this
 * is long; while a test is being written, `PATIENCE_S=10` tells sooner.
 */
export const PATIENCE_MS = Number(process.env.PATIENCE_S ?? 300) * 1000;
