/** How fast the core is; run with {@code ./benchmarks/run}, figures in docs/benchmarks.md. */
package phalanx.benchmarks;
