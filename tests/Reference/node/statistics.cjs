// A general-purpose statistics library beside ours: two lists on standard input, what it makes of them on standard output.
const s = require('simple-statistics');
const [a, b] = JSON.parse(require('fs').readFileSync(0, 'utf8'));
const welch = () => {
    const [va, vb] = [s.sampleVariance(a) / a.length, s.sampleVariance(b) / b.length];
    return {
        t: (s.mean(b) - s.mean(a)) / Math.sqrt(va + vb),
        freedom: (va + vb) ** 2 / (va ** 2 / (a.length - 1) + vb ** 2 / (b.length - 1)),
    };
};
console.log(
    JSON.stringify({
        mean: s.mean(a),
        median: s.median(a),
        deviation: s.sampleStandardDeviation(a),
        variation: s.sampleStandardDeviation(a) / s.mean(a),
        least: s.min(a),
        most: s.max(a),
        quarter: s.quantile(a, 0.25),
        threeQuarters: s.quantile(a, 0.75),
        tenth: s.quantile(a, 0.1),
        ninetieth: s.quantile(a, 0.9),
        difference: s.mean(b) - s.mean(a),
        ...welch(),
        ...(a.length === b.length
            ? {
                  correlation: s.sampleCorrelation(a, b),
                  slope: s.linearRegression(a.map((x, i) => [x, b[i]])).m,
                  meanOfSecond: s.mean(b),
              }
            : {}),
    }),
);
