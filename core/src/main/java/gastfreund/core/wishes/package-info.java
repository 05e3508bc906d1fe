/**
 * The waiting list ({@code docs/waiting.md}): wishes for something that cannot be had now, in an order, and which of them gets
 * what comes free.
 */
@NullMarked
package gastfreund.core.wishes;

import org.jspecify.annotations.NullMarked;
