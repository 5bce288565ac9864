/** The slowest tests of a run, so many of them, in a line each; of those that nobody waits for, nothing is said. */
const told = 20;
const waitedFor = 500;

exports.slowestOf = (took) => {
  const slow = took.filter((t) => t.ms >= waitedFor).sort((a, b) => b.ms - a.ms);
  return slow.length === 0
    ? ''
    : [
        'The slowest:',
        ...slow.slice(0, told).map((t) => `${(t.ms / 1000).toFixed(1).padStart(6)} s ${t.name}`),
      ].join('\n');
};
