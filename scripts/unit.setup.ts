import { afterEach } from "vitest";

/**
 * Between tests the process hears what its runner says: tests that compute or start programs one after another would
 * else keep it from listening for longer than the runner waits, 60 s.
 */
afterEach(() => new Promise((heard) => setTimeout(heard, 1)));
