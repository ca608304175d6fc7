/**
 * Measurements. {@link nexa.bench.WindowBench} drives the whole program, {@link nexa.bench.FilesBench} times reading and
 * delivery of 24 MP photos beside a peer, the others are JMH benchmarks. How to run them stands in bench/README.md.
 * It may use everything, and nothing uses it.
 */
package nexa.bench;
