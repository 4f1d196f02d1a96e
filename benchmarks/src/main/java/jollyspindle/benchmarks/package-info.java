/** How fast the computation is, measured with JMH. Nothing a user runs. */
package jollyspindle.benchmarks;
