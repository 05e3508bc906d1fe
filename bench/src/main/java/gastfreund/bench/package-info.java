/** What is measured: always as ratios within one run, never asserted in tests ({@code docs/benchmarks.md}). */
@NullMarked
package gastfreund.bench;

import org.jspecify.annotations.NullMarked;
