import fc from 'fast-check';

/* Random tests draw the same jobs on every run, so a failure is of the change. DRAWS=<number> draws others. */
fc.configureGlobal({
  seed: Number(process.env.DRAWS ?? 20_261_125),
  // Only whether it fails is asked, not by which least case.
  endOnFailure: process.env.FIRST_ONLY === '1',
});
