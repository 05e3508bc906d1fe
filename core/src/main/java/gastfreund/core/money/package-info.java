/** Amounts, percentages, contained tax and fair division, in whole minor units ({@code docs/money.md}). */
@NullMarked
package gastfreund.core.money;

import org.jspecify.annotations.NullMarked;
