import { config } from 'zod/v4/core';

// Compiled checks need eval, which the content policy of the page forbids. Schemas look at this when they are made: it is
// imported before any of them.
config({ jitless: true });
