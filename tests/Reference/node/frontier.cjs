// A general-purpose library beside ours: a list of sets of [price a gigabyte, speed] on standard input, the frontier of each out.
const { getParetoFrontier } = require('pareto-frontier');
const sets = JSON.parse(require('fs').readFileSync(0, 'utf8'));
console.log(JSON.stringify(sets.map((set) => getParetoFrontier(set, { optimize: 'topLeft' }))));
