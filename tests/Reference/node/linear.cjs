// A general-purpose solver of linear programs beside ours: reads programs in CPLEX LP format from standard input, one a JSON string
// in a list, and prints the optimum of each.
const load = require('highs');
load({}).then((highs) => {
    const programs = JSON.parse(require('fs').readFileSync(0, 'utf8'));
    console.log(JSON.stringify(programs.map((program) => highs.solve(program).ObjectiveValue)));
});
