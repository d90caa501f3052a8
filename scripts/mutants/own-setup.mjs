/** In Node: wakes the mutant that the run is for. */
const awake = Number(process.env.AWAKE_MUTANT ?? 0);
globalThis.fairTrailIsMutant = (id) => id === awake;
